<script setup lang="ts">
import { causesOf, circuitsOf, gatewayNow, UPDATE_MINUTES } from '#core/proof'
import { dayAndTime } from '#core/sheets/handover'
import { type GatewayFault, gatewayFaults, simulatedGateway } from '../../instruments/gateway'

/** The gateway from arrival on, what it hears of each unit and why not, passwords, the stage, terminals. */
const { ask, say, put, stamped, told, alone, places } = useProof()
const now = computed(() => gatewayNow(ask.value!))
const causes = computed(() => causesOf(ask.value!, now.value.gateway, now.value.report))
const state = reactive({ powered: true, online: true, indoors: true, nearPanel: true, updating: false })
watch(() => now.value.gateway?.id, () => now.value.gateway && Object.assign(state, { powered: now.value.gateway.powered, online: now.value.gateway.online, indoors: now.value.gateway.indoors, nearPanel: now.value.gateway.nearPanel, updating: now.value.gateway.updating }), { immediate: true })
const facts = [['powered', 'Has power'], ['online', 'On the network'], ['indoors', 'Indoors'], ['nearPanel', 'Near the panel'], ['updating', 'Updates itself']] as const

const fault = ref<GatewayFault>('none')
const hung = () => circuitsOf(ask.value!).map(({ members }) => members.flatMap(member => places.value.find(one => one.what === 'unit' && one.id === member)?.found?.serial ?? []))
const gateway = simulatedGateway(hung, () => fault.value)
const asking = ref(false)
async function askIt() {
  asking.value = true
  try {
    const { units, gWm2, ...status } = await gateway.ask()
    Object.assign(state, status)
    put([stamped('gateway', { ...state, ...status }), ...status.powered && status.online ? [stamped('report', { units, gWm2 })] : []])
  }
  catch {
    told.value = 'The gateway can’t be reached. Is it on, and on this network?'
  }
  finally {
    asking.value = false
  }
}
const units = computed(() => places.value.filter(one => one.what === 'unit'))
const rows = computed(() => units.value.map((one) => {
  const seen = now.value.report?.units.find(unit => unit.serial === one.found?.serial)
  const words = (text: string, over = false) => ({ words: text, over })
  return {
    key: one.id,
    cells: [words(`${ask.value!.faces.length > 1 ? `${ask.value!.job.faces.find(face => face.id === one.faceId)!.name}, ` : ''}module ${one.number}`), words(one.found?.serial ?? 'not read', !one.found), words(seen ? `${seen.signal} of 5` : now.value.report ? 'not seen' : '', Boolean(now.value.report && !seen)), words(seen?.profile ?? '', Boolean(seen && seen.profile !== 'set')), words(seen?.watts === null || !seen ? '' : `${Math.round(seen.watts)} W`)],
  }
}))
const password = ref('')
const passwords = computed(() => ask.value!.job.proof.filter(entry => entry.kind === 'password'))
function keepPassword() {
  if (say('password', { what: password.value.trim() || 'Gateway and inverter' }).ok) password.value = ''
}
const hasStorage = computed(() => ask.value!.job.ground?.things.some(one => one.kind === 'storage') ?? false)
const readsOnly = useReadsOnly()
</script>

<template>
  <div class="max-w-4xl space-y-6">
    <section aria-label="Gateway">
      <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        Gateway
      </h2>
      <p class="pt-1 text-[15px] leading-snug">
        Power and network on arrival: its update takes up to {{ UPDATE_MINUTES }} minutes. Near the panel, indoors. A meter that turns proves none of the units: one of them makes it turn.
      </p>
      <form
        v-if="!readsOnly"
        class="flex flex-wrap items-center gap-x-5 gap-y-1 pt-1 text-[15px]"
        @submit.prevent="say('gateway', { ...state })"
      >
        <label
          v-for="[key, name] in facts"
          :key="key"
          class="flex min-h-9 max-md:min-h-11 items-center gap-2"
        ><input
          v-model="state[key]"
          type="checkbox"
          class="size-5"
        >{{ name }}</label>
        <UButton
          type="submit"
          size="sm"
          color="neutral"
          variant="outline"
          label="Keep it"
        />
        <UButton
          size="sm"
          :loading="asking"
          label="Ask the gateway"
          @click="askIt"
        />
      </form>
      <ProofFault
        v-model="fault"
        :name="gateway.name"
        :faults="gatewayFaults"
      />
      <p
        v-if="now.gateway"
        class="text-[13px] text-muted"
      >
        Last said by {{ now.gateway.by || 'somebody' }}, {{ dayAndTime(now.gateway.at) }}{{ now.report ? `; ${now.report.units.length} units heard, ${dayAndTime(now.report.at)}` : '' }}.
      </p>
      <p
        v-if="told"
        role="alert"
        class="text-sm font-semibold text-brick-600"
      >
        {{ told }}
      </p>
      <ul
        class="pt-1"
        aria-label="What keeps units from reporting"
      >
        <li
          v-for="(cause, i) in causes"
          :key="i"
          class="border-l-4 border-amber-500 py-1 pl-3 text-[15px] leading-snug"
        >
          <b>{{ cause.sentence }}</b> {{ cause.does }}
        </li>
      </ul>
      <p
        v-if="now.report && !causes.length"
        class="flex items-center gap-2 pt-1 text-[15px] font-semibold"
      >
        <PlannerStateMark state="clear" />Every unit of the map reports, its profile is set, and each makes its share.
      </p>
    </section>
    <section
      v-if="units.length"
      aria-label="Each unit"
    >
      <h2 class="text-[17px] font-bold">
        Each unit
      </h2>
      <FigureTable
        caption="Units as the gateway hears them"
        :heads="['Under', 'Serial number', 'Signal', 'Profile', 'Output']"
        :rows="rows"
      />
    </section>
    <ProofTorques />
    <section aria-label="Passwords">
      <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        Default passwords
      </h2>
      <ul class="text-[15px]">
        <li
          v-for="one in passwords"
          :key="one.id"
          class="py-0.5"
        >
          {{ one.kind === 'password' ? one.what : '' }}: changed, {{ one.by }}, {{ dayAndTime(one.at) }}
        </li>
      </ul>
      <form
        v-if="!readsOnly"
        class="flex items-end gap-2 pt-1"
        @submit.prevent="keepPassword"
      >
        <FieldPlainInput
          v-model="password"
          class="w-64"
          label="Of what (never the password itself)"
        />
        <UButton
          type="submit"
          size="sm"
          color="neutral"
          variant="outline"
          label="Changed"
        />
      </form>
    </section>
    <section
      v-if="hasStorage && !readsOnly"
      aria-label="Stage"
    >
      <h2 class="border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        Stage
      </h2>
      <p class="flex flex-wrap items-center gap-3 pt-1 text-[15px]">
        {{ alone ? 'Storage runs alone; strings are tested, capped and tagged, and are joined later.' : 'Storage and array begin together.' }}
        <UButton
          size="sm"
          color="neutral"
          variant="outline"
          :label="alone ? 'The strings are joined now' : 'Storage alone for now'"
          @click="say('stage', { storageAlone: !alone })"
        />
      </p>
    </section>
  </div>
</template>
