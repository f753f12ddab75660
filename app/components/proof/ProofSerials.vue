<script setup lang="ts">
/** The map of serial numbers, the entry beside it, goods that came, and what goes out of it. */
const serials = useSerials()
const { ask } = serials
const { say, told: said } = useProof()
const route = useRoute()
const file = (name: string) => ({ to: `/api/jobs/${String(route.params.id)}/${name}`, external: true, target: '_blank' })
const files = [{ label: 'Map as read (PDF)', ...file('serial-map.pdf') }, { label: 'Map with room for labels (PDF)', ...file('serial-map.pdf?blank=true') }, { label: 'For a portal (CSV)', ...file('array-layout.csv') }, { label: 'For a portal (JSON)', ...file('array-layout.json') }]
const faces = computed(() => ask.value!.faces.filter(({ plan }) => plan.modules > 0).map(({ face }) => face.id))
const readsOnly = useReadsOnly()

const ordered = computed(() => {
  const counts = new Map<string, { id: string, name: string, n: number }>()
  for (const { plan } of ask.value!.faces) if (plan.modules) counts.set(plan.parts.module.id, { id: plan.parts.module.id, name: `${plan.parts.module.maker} ${plan.parts.module.name}`, n: (counts.get(plan.parts.module.id)?.n ?? 0) + plan.modules })
  return [...counts.values()].map(one => ({ ...one, last: ask.value!.job.proof.findLast(entry => entry.kind === 'goods' && entry.partId === one.id) }))
})
const goods = reactive({ counted: '', glass: true, frame: true, label: true, secondHand: false, words: '' })
function keepGoods(partId: string, n: number) {
  const counted = Number(goods.counted)
  if (!goods.counted.trim() || !Number.isInteger(counted) || counted < 0) {
    said.value = 'Type how many came, a whole number.'
    return
  }
  const outcome = say('goods', { partId, ordered: n, counted, glass: goods.glass, frame: goods.frame, label: goods.label, secondHand: goods.secondHand, words: goods.words })
  if (outcome.ok) Object.assign(goods, { counted: '', words: '' })
}
const sound = [['glass', 'Glass'], ['frame', 'Frame'], ['label', 'Label']] as const

const bench = reactive({ serial: '', volts: '', amps: '', g: '', c: '' })
function keepBench(partId: string) {
  // Nothing written is no figure, and never nought.
  const number = (text: string) => text.trim() ? Number(text.replace(',', '.')) : Number.NaN
  const outcome = say('bench', { serial: bench.serial.trim().toUpperCase(), partId, volts: number(bench.volts), amps: number(bench.amps), light: { gWm2: number(bench.g), cellC: number(bench.c) } })
  if (outcome.ok) Object.assign(bench, { serial: '', volts: '', amps: '' })
}
const measured = computed(() => ask.value!.job.proof.filter(entry => entry.kind === 'bench').length)
</script>

<template>
  <div class="grid gap-6 md:grid-cols-[1fr_17rem]">
    <div>
      <div class="flex justify-end">
        <UDropdownMenu :items="files">
          <UButton
            size="xs"
            color="neutral"
            variant="outline"
            icon="i-lucide-download"
            label="Files"
            trailing-icon="i-lucide-chevron-down"
          />
        </UDropdownMenu>
      </div>
      <ProofMap
        v-for="id in faces"
        :key="id"
        :serials="serials"
        :face-id="id"
      />
    </div>
    <div>
      <ProofSerialEntry
        v-if="!readsOnly"
        :serials="serials"
      />
      <section
        v-for="one in ordered"
        :key="one.id"
        class="mt-5 border-t-2 border-graphite-900 pt-1 text-[15px]"
      >
        <h3 class="font-bold">
          Goods in: {{ one.name }}
        </h3>
        <p v-if="one.last && one.last.kind === 'goods'">
          {{ one.last.counted }} of {{ one.last.ordered }} came, looked at by {{ one.last.by }}{{ one.last.glass && one.last.frame && one.last.label ? ', sound' : ', not sound' }}{{ one.last.secondHand ? `; second-hand, ${measured} measured` : '' }}.
        </p>
        <p
          v-else
          class="text-muted"
        >
          Count and look before anything is lifted.
        </p>
        <form
          v-if="!readsOnly"
          class="mt-1 space-y-1"
          @submit.prevent="keepGoods(one.id, one.n)"
        >
          <FieldPlainInput
            v-model="goods.counted"
            numeric
            :label="`Came, of ${one.n}`"
          />
          <label
            v-for="[key, name] in sound"
            :key="key"
            class="flex min-h-8 items-center gap-2"
          ><input
            v-model="goods[key]"
            type="checkbox"
            class="size-5"
          >{{ name }} sound</label>
          <label class="flex min-h-8 items-center gap-2"><input
            v-model="goods.secondHand"
            type="checkbox"
            class="size-5"
          >Second-hand</label>
          <FieldPlainInput
            v-model="goods.words"
            label="What was seen"
          />
          <UButton
            type="submit"
            size="sm"
            color="neutral"
            variant="outline"
            label="Keep it"
          />
        </form>
        <form
          v-if="!readsOnly && one.last && one.last.kind === 'goods' && one.last.secondHand"
          class="mt-3 grid grid-cols-2 gap-1"
          aria-label="Measured on the ground"
          @submit.prevent="keepBench(one.id)"
        >
          <p class="col-span-2 font-semibold">
            Measured on the ground, before it is lifted
          </p>
          <FieldPlainInput
            v-model="bench.serial"
            class="col-span-2"
            label="Serial number"
          />
          <FieldPlainInput
            v-model="bench.volts"
            label="Voc, V"
          />
          <FieldPlainInput
            v-model="bench.amps"
            label="Isc, A"
          />
          <FieldPlainInput
            v-model="bench.g"
            label="Irradiance, W/m²"
          />
          <FieldPlainInput
            v-model="bench.c"
            label="Cells, °C"
          />
          <UButton
            type="submit"
            size="sm"
            color="neutral"
            variant="outline"
            label="Keep it"
          />
        </form>
        <p
          v-if="said"
          role="alert"
          class="mt-1 font-semibold text-brick-600"
        >
          {{ said }}
        </p>
      </section>
    </div>
  </div>
</template>
