<script setup lang="ts">
import { countedOf, type OpenGroup, openGroupNames } from '#core/proof'

/** What stands between this job and “done”, by what it belongs to; and things somebody puts down with who and when. */
const { ask, open, standing, say, told } = useProof()
const counted = computed(() => ask.value ? countedOf(ask.value) : [])
const emit = defineEmits<{ go: [tab: string] }>()
const tabOf: Partial<Record<OpenGroup, string>> = { serials: 'serials', tests: 'tests', commissioning: 'gateway', torques: 'gateway', photographs: 'pictures', papers: 'papers' }
const groups = computed(() => (Object.keys(openGroupNames) as OpenGroup[]).map(group => ({ group, name: openGroupNames[group], items: open.value.filter(one => one.group === group) })).filter(one => one.items.length))
/** So many of a group are shown before it is opened. */
const FIRST = 4
const whole = ref<OpenGroup[]>([])
const words = ref('')
const who = ref('')
const due = ref('')
function put() {
  const outcome = say('item', { words: words.value, who: who.value, due: due.value || null })
  if (outcome.ok) words.value = who.value = due.value = ''
}
const readsOnly = useReadsOnly()
</script>

<template>
  <div class="max-w-3xl">
    <h2 class="text-xl font-bold">
      {{ standing.state === 'handed-over' ? `Handed over to ${standing.handedOver!.to} on ${standing.handedOver!.on}` : standing.state === 'reopened' ? 'Opened again' : open.length ? `${open.length} open before it can be handed over` : 'Nothing is open: hand it over' }}
    </h2>
    <dl class="mt-2 grid grid-cols-5 gap-x-4 border-b border-graphite-300 pb-2 max-sm:grid-cols-2">
      <div
        v-for="one in counted"
        :key="one.group"
      >
        <dt class="text-[13px] text-muted">
          {{ openGroupNames[one.group] }}
        </dt>
        <dd class="text-[17px] font-bold tabular-nums">
          {{ one.had }} <span class="text-[15px] font-normal">of {{ one.of }}</span>
          <span
            class="block h-1.5 bg-graphite-300/60"
            aria-hidden="true"
          ><span
            class="block h-1.5"
            :class="one.had === one.of ? 'bg-lichen-500' : 'bg-amber-500'"
            :style="{ width: `${100 * one.had / one.of}%` }"
          /></span>
        </dd>
      </div>
    </dl>
    <section
      v-for="{ group, name, items } in groups"
      :key="group"
      class="mt-3"
    >
      <h3 class="flex items-baseline justify-between border-b-2 border-graphite-900 pb-0.5 text-[17px] font-bold">
        {{ name }}<span class="tabular-nums">{{ items.length }}</span>
      </h3>
      <ul>
        <li
          v-for="one in whole.includes(group) ? items : items.slice(0, FIRST)"
          :key="one.id"
          class="flex items-baseline justify-between gap-3 border-b border-dotted border-graphite-300 py-1 text-[15px] leading-snug"
        >
          <span>{{ one.words }}<span
            v-if="one.who || one.due"
            class="text-muted"
          > {{ [one.who, one.due && `by ${one.due}`].filter(Boolean).join(', ') }}</span></span>
          <UButton
            v-if="group === 'items' && !readsOnly"
            size="xs"
            color="neutral"
            variant="outline"
            label="Done"
            @click="say('item-done', { itemId: one.id.replace('items ', '') })"
          />
        </li>
      </ul>
      <div class="flex gap-3 pt-1 text-sm">
        <button
          v-if="items.length > FIRST"
          type="button"
          class="underline underline-offset-4 max-md:min-h-11 max-md:min-w-11"
          @click="whole = whole.includes(group) ? whole.filter(one => one !== group) : [...whole, group]"
        >
          {{ whole.includes(group) ? 'Fewer' : `${items.length - FIRST} more` }}
        </button>
        <button
          v-if="tabOf[group]"
          type="button"
          class="font-semibold underline underline-offset-4 max-md:min-h-11 max-md:min-w-11"
          @click="emit('go', tabOf[group]!)"
        >
          Go there
        </button>
      </div>
    </section>
    <form
      v-if="!readsOnly"
      class="mt-5 grid grid-cols-[1fr_9rem_9rem_auto] items-end gap-2 max-sm:grid-cols-2"
      aria-label="Put something down"
      @submit.prevent="put"
    >
      <FieldPlainInput
        v-model="words"
        class="max-sm:col-span-2"
        label="Something else that is open"
      />
      <FieldPlainInput
        v-model="who"
        label="Who does it"
      />
      <FieldPlainInput
        v-model="due"
        type="date"
        label="By when"
      />
      <UButton
        type="submit"
        color="neutral"
        variant="outline"
        label="Put it down"
      />
    </form>
    <p
      v-if="told"
      role="alert"
      class="mt-1 text-sm font-semibold text-brick-600"
    >
      {{ told }}
    </p>
  </div>
</template>
