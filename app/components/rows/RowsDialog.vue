<script setup lang="ts">
import type { Arrangement } from '#core/asks'
import { formatPower } from '#core/units'

/** Three good ways for the rows to stand, side by side; choosing one is an edit like any other. */
const open = defineModel<boolean>('open', { required: true })
const { job, face, facePlan, catalogue, units, commit } = useFace()
const { answers, share, busy, slow, problem, look, stop } = useArranger()
const wanted = ref('')
const wantedProblem = ref('')

function search() {
  const text = wanted.value.trim()
  const number = text === '' ? null : Number(text)
  if (number !== null && (!Number.isInteger(number) || number < 1 || number > 400)) {
    wantedProblem.value = 'Type a whole number of modules, or leave it empty for the best of each kind.'
    return
  }
  wantedProblem.value = ''
  void look({ job: toRaw(job.value), catalogue: toRaw(catalogue.value), faceId: face.value.id, wanted: number })
}
watch(open, (isOpen) => {
  if (isOpen) search()
  else stop()
}, { immediate: true })
function choose(arrangement: Arrangement) {
  const outcome = commit(arrangement.edit)
  if (outcome.ok) open.value = false
  else wantedProblem.value = outcome.problem
}
const box = computed(() => facePlan.value.shape)
const path = (rings: { x: number, y: number }[][]) => rings.map(ring => `M${ring.map(({ x, y }) => `${x} ${box.value.up.toMm - y}`).join('L')}Z`).join('')
</script>

<template>
  <UModal
    v-model:open="open"
    title="Rows for this face"
    description="Good answers of different kinds, inside what is kept clear. Locked rows stay as they are."
    :ui="{ content: 'sm:max-w-5xl' }"
  >
    <template #body>
      <form
        class="mb-3 flex flex-wrap items-end gap-2"
        @submit.prevent="search"
      >
        <label class="text-[13px] text-muted">Modules wanted
          <UInput
            v-model="wanted"
            size="sm"
            color="neutral"
            class="block w-32"
            placeholder="any number"
            autocomplete="off"
          /></label>
        <UButton
          type="submit"
          size="sm"
          color="neutral"
          variant="outline"
          label="Look again"
        />
        <p
          v-if="wantedProblem"
          role="alert"
          class="text-sm font-medium text-brick-600"
        >
          {{ wantedProblem }}
        </p>
      </form>
      <div
        v-if="busy"
        class="flex h-72 flex-col items-center justify-center gap-3"
        role="status"
      >
        <template v-if="slow">
          <p>Looking for the best rows…</p>
          <progress
            :value="share"
            max="1"
            class="w-64"
            aria-label="Share of the work done"
          />
          <UButton
            size="sm"
            color="neutral"
            variant="outline"
            label="Stop"
            @click="stop"
          />
        </template>
      </div>
      <p
        v-else-if="problem"
        role="alert"
        class="border-l-4 border-brick-500 py-1 pl-3"
      >
        {{ problem }}
      </p>
      <p
        v-else-if="answers && !answers.length"
        class="py-10 text-center text-[15px]"
      >
        {{ wanted.trim() ? `No rows on this face hold ${wanted.trim()} modules. The most it holds is shown when the field is empty.` : 'What is kept clear leaves no place for a module. Look at Keep-clear first.' }}
      </p>
      <p
        v-else-if="!answers"
        class="py-10 text-center text-[15px]"
      >
        Stopped. Look again when you want to.
      </p>
      <ul
        v-else
        class="grid grid-cols-3 gap-5 max-md:grid-cols-1"
      >
        <li
          v-for="one in answers"
          :key="one.title"
          class="flex flex-col"
          data-testid="arrangement"
        >
          <h3 class="min-h-11 font-bold">
            {{ one.title }}
          </h3>
          <svg
            :viewBox="`${box.along.fromMm - 60} -60 ${box.along.toMm - box.along.fromMm + 120} ${box.up.toMm + 120}`"
            class="h-36 w-full"
            aria-hidden="true"
          >
            <path
              :d="path(box.region)"
              fill="var(--color-hatch-ground)"
              stroke="var(--color-graphite-900)"
              stroke-width="40"
            />
            <path
              :d="path(facePlan.region)"
              fill="var(--color-face)"
            />
            <rect
              v-for="(module, i) in one.rectangles"
              :key="i"
              :x="module.leftMm"
              :y="box.up.toMm - module.bottomMm - module.heightMm"
              :width="module.widthMm"
              :height="module.heightMm"
              fill="var(--color-module)"
              stroke="var(--color-sheet)"
              stroke-width="18"
            />
          </svg>
          <dl class="mt-2 flex-1">
            <SlipLine label="Modules">
              {{ one.modules }}, {{ formatPower(one.powerW) }}
            </SlipLine>
            <SlipLine
              label="Fixings"
              :bad="one.stops > 0"
            >
              {{ one.fixings }}{{ one.stops ? `, ${one.stops} to settle` : '' }}
            </SlipLine>
            <SlipLine label="Rows from the eave">
              {{ one.rowCounts.join(' + ') }}
            </SlipLine>
            <SlipLine label="Slack left, right">
              <FieldLengthText
                :mm="one.marginsMm.left"
                :units="units"
              />, <FieldLengthText
                :mm="one.marginsMm.right"
                :units="units"
              />
            </SlipLine>
          </dl>
          <p class="my-2 text-sm text-muted">
            {{ one.claim }}.
          </p>
          <UButton
            color="neutral"
            :variant="one === answers[0] ? 'solid' : 'outline'"
            block
            label="Stand them so"
            @click="choose(one)"
          />
        </li>
      </ul>
    </template>
  </UModal>
</template>
