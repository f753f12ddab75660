<script setup lang="ts">
import { type SiteEnd, siteEndSchema } from '#core/job'

/** Plugs that were made on the roof: where, with which pin and tool, by whom, and whether they clicked. */
const { newest, facePlan, commitNewest: commit } = useFace()
const me = useMe()
const readsOnly = useReadsOnly()
const ends = computed(() => newest.value.wiring.ends)
const blank = () => ({ place: '', plugs: facePlan.value.parts.module.plugs ?? '', mate: facePlan.value.parts.module.plugs ?? '', pin: '', tool: '', by: me.me?.personName ?? '' })
const draft = ref(blank())
const problem = ref('')
const put = (end: SiteEnd) => commit({ type: 'set-site-end', endId: end.id, end })
function add() {
  const end = siteEndSchema.safeParse({ id: `e${crypto.randomUUID().slice(0, 8)}`, ...draft.value, clicked: false })
  if (!end.success) return problem.value = end.error.issues[0]!.message
  const outcome = put(end.data)
  problem.value = outcome.ok ? '' : outcome.problem
  if (outcome.ok) draft.value = blank()
}
const fields = [['place', 'Where'], ['plugs', 'Make of the plug'], ['mate', 'Goes into'], ['pin', 'Pin'], ['tool', 'Crimp tool'], ['by', 'Made by']] as const
</script>

<template>
  <div>
    <p class="max-w-prose py-2 text-[15px] leading-snug">
      Every plug that was crimped up here is written down: half-pushed and mixed plugs start fires. Leads with factory plugs need no line.
    </p>
    <ul>
      <li
        v-for="end in ends"
        :key="end.id"
        class="flex items-start justify-between gap-2 border-b border-dotted border-graphite-300 py-1.5"
      >
        <UCheckbox
          :model-value="end.clicked"
          :disabled="readsOnly"
          :label="end.place"
          :description="`${end.plugs} into ${end.mate}; pin ${end.pin || '—'}, tool ${end.tool || '—'}, ${end.by || 'nobody named'}. ${end.clicked ? 'Pushed until it clicked.' : 'Tick when it has clicked and held a pull.'}`"
          @update:model-value="put({ ...end, clicked: $event === true })"
        />
        <UButton
          size="xs"
          color="neutral"
          variant="ghost"
          icon="i-lucide-x"
          :disabled="readsOnly"
          :aria-label="`Take out the plug at ${end.place}`"
          @click="commit({ type: 'set-site-end', endId: end.id, end: null })"
        />
      </li>
    </ul>
    <form
      class="mt-3 grid max-w-2xl gap-2 sm:grid-cols-2"
      @submit.prevent="add"
    >
      <FieldPlainInput
        v-for="[key, label] in fields"
        :key="key"
        v-model="draft[key]"
        :label="label"
      />
      <UButton
        type="submit"
        color="neutral"
        label="Write it down"
        class="justify-center sm:col-span-2"
        :disabled="readsOnly"
      />
    </form>
    <p
      v-if="problem"
      role="alert"
      class="mt-2 border-l-4 border-brick-500 pl-3 text-[15px]"
    >
      {{ problem }}
    </p>
  </div>
</template>
