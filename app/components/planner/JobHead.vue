<script setup lang="ts">
import { formatPitch, formatPower } from '#core/units'
import { listed, plural, sentenceCase } from '#core/trade'
import { roleWords } from '#core/people'
import { wordsOf } from '../../queue/entry'

/** The job's name, its totals, what the last change did, and whether it has reached the office. */
const store = useJobStore()
const me = useMe()
const queue = useQueue()
const save = computed(() => ({
  'saved': { text: 'Saved', class: 'text-lichen-600' },
  'saving': { text: 'Saving…', class: 'text-graphite-600' },
  'offline': { text: `No signal: ${plural(store.waiting, 'change')} kept ${queue.keeps ? 'on this device' : 'while this page is open'}`, class: 'text-amber-600' },
  'signed-out': { text: `Signed out.${store.waiting ? ` ${plural(store.waiting, 'change')} kept ${queue.keeps ? 'on this device' : 'only while this page is open'}` : ''}`, class: 'text-brick-600' },
}[store.saveState]))
/** More facts than these are not told by name. */
const MOST_TOLD = 5
const whatElse = computed(() => {
  const what = store.meanwhile?.what ?? []
  return listed(what.length > MOST_TOLD ? [...what.slice(0, MOST_TOLD), 'more'] : what)
})
const asideWords = (one: typeof store.aside[number]) => sentenceCase(wordsOf(one))
const { index, choose } = useFaceChoice(computed(() => store.job))
const face = computed(() => store.job?.faces[index.value])
/** Past the head, the ladder and the tools, straight to what is worked on. */
const toWork = () => (document.querySelector<HTMLElement>('[role=application]') ?? document.querySelector<HTMLElement>('#work'))?.focus()
</script>

<template>
  <header class="no-print flex h-14 items-center gap-x-4 border-b border-graphite-900 px-4 max-md:gap-x-2 max-md:px-2">
    <a
      href="#work"
      class="sr-only bg-sheet px-3 py-2 font-semibold underline focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-50"
      @click.prevent="toWork"
    >To the work</a>
    <NuxtLink
      to="/"
      aria-label="All jobs"
      class="grid shrink-0 place-items-center max-md:size-11"
    >
      <img
        :src="MARK"
        alt=""
        class="size-8"
      >
    </NuxtLink>
    <div
      v-if="store.job && face"
      class="flex min-w-0 flex-1 items-baseline gap-x-3 max-lg:flex-col max-lg:gap-y-0"
    >
      <h1
        class="max-w-full truncate text-lg leading-tight font-bold"
        :title="store.job.title"
      >
        {{ store.job.title }}
      </h1>
      <p class="max-w-full truncate text-[15px] leading-tight text-muted max-lg:text-[13px]">
        {{ store.job.place }}{{ store.job.place ? ', ' : '' }}{{ face.name.toLowerCase() }}, {{ formatPitch(face.pitchDeg, store.job.units) }}
      </p>
    </div>
    <PlannerRoofPlan
      v-if="store.job && face && store.job.faces.length > 1"
      size="small"
      class="shrink-0 max-md:hidden"
      :faces="store.job.faces"
      :site="store.job.site"
      :current="face.id"
      @pick="choose"
    />
    <div class="min-w-0 shrink-0 text-right text-[15px] leading-tight max-md:text-[13px]">
      <p data-testid="totals">
        <template v-if="store.plan">
          {{ store.plan.totals.modules }} modules<span class="max-md:sr-only">, {{ formatPower(store.plan.totals.powerW) }}{{ store.plan.totals.fixings || !store.job?.faces.some(one => one.inRoof) ? `, ${store.plan.totals.fixings} fixings` : '' }}</span>
        </template>
      </p>
      <p
        aria-live="polite"
        class="truncate font-semibold text-chalk-600 max-md:sr-only"
        data-testid="changes"
      >
        {{ store.changes.join(', ') }}
      </p>
      <p
        class="font-bold md:hidden"
        aria-hidden="true"
        :class="save.class"
      >
        {{ store.saveState === 'offline' ? 'No signal' : store.saveState === 'signed-out' ? 'Signed out' : save.text }}
      </p>
    </div>
    <p
      class="max-w-64 text-[15px] leading-tight font-bold max-md:sr-only"
      :class="save.class"
      data-testid="save-state"
    >
      {{ save.text }}
    </p>
    <UButton
      v-if="store.saveState === 'signed-out'"
      size="sm"
      label="Sign in"
      @click="me.toSignIn()"
    />
    <LazyPeopleMenu v-if="me.me?.role === 'guest'" />
    <ThemeSwitch />
  </header>
  <p
    v-if="me.me && !me.may('log')"
    class="no-print border-b border-graphite-300 bg-graphite-100 px-4 py-1 text-[15px]"
  >
    <b>To read.</b> {{ me.me.role === 'guest' ? 'This job is shared with you' : `As ${roleWords[me.me.role].title.toLowerCase()} you read the plan and tick lists` }}; nothing is changed here.
  </p>
  <p
    v-if="store.slow && store.plan"
    role="status"
    class="no-print border-b border-amber-500 bg-amber-50 px-4 py-1 text-[15px]"
  >
    <b>The plan takes long:</b> this job has {{ store.slow }}. What you type is kept; what is drawn is as it was before.
  </p>
  <div
    v-if="store.refusal"
    role="alert"
    class="no-print flex flex-wrap items-center gap-3 border-b border-brick-500 bg-brick-50 px-4 py-2 text-[15px]"
  >
    <p>{{ store.refusal }}</p>
    <UButton
      size="sm"
      color="neutral"
      variant="outline"
      label="Good"
      @click="store.refusal = ''"
    />
  </div>
  <div
    v-if="store.meanwhile"
    role="status"
    class="no-print flex flex-wrap items-center gap-3 border-b border-amber-500 bg-amber-50 px-4 py-2 text-[15px]"
    data-testid="meanwhile"
  >
    <p>
      <b>{{ store.meanwhile.onRoof ? 'Changed on the roof' : 'Changed elsewhere' }}</b> by {{ listed(store.meanwhile.who) }}: {{ whatElse }}.
      <template v-if="store.meanwhile.theirs.length">
        You changed the same thing. Yours stands now; theirs is kept in the history.
      </template>
      <template v-else>
        You see it now; nothing of yours is lost.
      </template>
    </p>
    <UButton
      v-if="store.meanwhile.theirs.length"
      size="sm"
      color="neutral"
      label="Take theirs"
      @click="store.takeTheirs()"
    />
    <UButton
      size="sm"
      color="neutral"
      variant="outline"
      :label="store.meanwhile.theirs.length ? 'Keep mine' : 'Good'"
      @click="store.meanwhile = null"
    />
  </div>
  <ul
    v-if="store.aside.length"
    role="alert"
    class="no-print max-h-40 overflow-y-auto border-b border-brick-500 bg-brick-50 px-4 py-2 text-[15px]"
    aria-label="Not taken by the office"
  >
    <li
      v-for="one in store.aside"
      :key="one.id"
      class="flex flex-wrap items-center gap-x-3 gap-y-1 py-0.5"
    >
      <p><b>{{ asideWords(one) }}: set aside.</b> {{ one.refused }}</p>
      <UButton
        size="sm"
        color="neutral"
        label="Try it again"
        @click="queue.takeUp(one.id)"
      />
      <UButton
        size="sm"
        color="neutral"
        variant="outline"
        label="Give it up"
        @click="queue.giveUp(one.id)"
      />
    </li>
  </ul>
</template>
