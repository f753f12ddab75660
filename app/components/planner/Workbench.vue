<script setup lang="ts">
import type { StageId } from '#core/job'
import { stages } from '#core/job/stages'
import { stageOf } from '#core/hand'
import type { Finding, Ref as FaceRef } from '#core/trade'
import { useLayers } from '../../composables/useLayers'
import { selectedOn, stageViews } from '../../stages'

/** The planner's page: ladder, face, slip and findings, with everything reachable by keyboard. */
const { jobId, stage } = defineProps<{ jobId: string, stage: StageId }>()
const store = useJobStore()
const me = useMe()
provideReadsOnly(computed(() => !me.may('log')))
const { toggle } = useLayers()

const job = computed(() => store.planned!)
const plan = computed(() => store.plan!)
const { index, choose } = useFaceChoice(job)
const face = computed(() => job.value.faces[index.value]!)
const facePlan = computed(() => plan.value.faces[index.value]!)
const shown = computed(() => {
  const { job: shownJob, plan: shownPlan } = store.preview ?? { job: job.value, plan: plan.value }
  const at = shownJob.faces.findIndex(one => one.id === face.value.id)
  return { job: shownJob, face: shownJob.faces[at] ?? shownJob.faces[0]!, plan: shownPlan.faces[at] ?? shownPlan.faces[0]! }
})

const view = computed(() => stageViews[stage])
const stagePath = useStagePath()
const selection = ref<FaceRef>(selectedOn(stage))
/** What to select once the rung it lives on has been reached. */
const onArrival = shallowRef<FaceRef | null>(null)
/** What keys go on from: a key pressed on the way to a rung means what is taken hold of there, not what was held before. */
const inHand = computed(() => onArrival.value ?? selection.value)
watch(() => stage, (next) => {
  selection.value = onArrival.value ?? selectedOn(next)
  onArrival.value = null
})
async function goTo(where: StageId, what: FaceRef) {
  if (where === stage && !onArrival.value) {
    selection.value = what
    return
  }
  onArrival.value = what
  await navigateTo(stagePath(jobId, where))
  await nextTick()
  // Called back to the rung it was about to leave: the rung does not change, so nothing else takes it in.
  if (stage === where && onArrival.value === what) {
    selection.value = what
    onArrival.value = null
  }
}
/** Selecting on the face takes a person to the rung where the selection's figures are. */
const over = computed(() => view.value.shows === 'face' ? view.value.over : undefined)
const select = (what: FaceRef) => goTo(over.value?.keeps === what.kind ? stage : stageOf({ job: job.value, face: face.value, plan: facePlan.value }, what) ?? stage, what)

provideFace({
  job, newest: computed(() => store.job ?? job.value), plan, face, facePlan, catalogue: computed(() => store.catalogue!), units: computed(() => job.value.units),
  stage: computed(() => stage), selection, select, commit: store.commit, commitNewest: store.commitNewest, chooseFace: choose,
})

const found = computed(() => findingsFor(stage, plan.value.findings))
const rests = computed(() => restsOnAssumed(stage, plan.value.findings))
/** A finding of another face takes a person there first. */
async function showFinding(finding: Finding) {
  if (finding.faceId !== face.value.id) await choose(finding.faceId)
  goTo(finding.stage, finding.about ?? selectedOn(finding.stage))
}
watch(() => face.value.id, () => selection.value = onArrival.value ?? selectedOn(stage))

/** On a phone the face has the screen, and what is said of it comes up from below. */
const phone = useMediaQuery('(max-width: 767.98px)')
const drawn = ref<'slip' | 'findings' | null>(null)
const aside = useTemplateRef('aside')
async function draw(which: 'slip' | 'findings') {
  drawn.value = which
  await nextTick()
  aside.value?.focus()
}
watch(() => stage, () => drawn.value = null)
const count = computed(() => found.value.here.length + found.value.elsewhere.length)
const worst = computed(() => [...found.value.here, ...found.value.elsewhere].reduce<'clear' | 'note' | 'caution' | 'stop'>((state, one) => one.severity === 'stop' || state === 'stop' ? 'stop' : one.severity === 'caution' ? 'caution' : state === 'clear' ? 'note' : state, 'clear'))

const showsWorking = ref(false)
const showsHelp = ref(false)
const showsPalette = ref(false)
const [workingOpened, helpOpened, paletteOpened] = [useOpened(showsWorking), useOpened(showsHelp), useOpened(showsPalette)]
useLoadedLater([
  () => import('./WorkingPanel.vue'), () => import('./ShortcutsHelp.vue'), () => import('./Palette.vue'), () => import('../rows/RowsDialog.vue'), () => import('../loads/SpanTableDialog.vue'),
  () => import('../roof/RoofFormDialog.vue'), () => import('../roof/RoofImportDialog.vue'), () => import('../loads/RailChart.vue'), () => import('../working/WorkingPop.vue'), () => import('../supports/SupportsPaste.vue'),
])
const message = ref('')
const { announced, balance, swapDatum, nudge, step, stepKind, workings, allWorkings } = useFaceActions(job, face, facePlan, inHand, select, message)

/** The selected rail where it has a chart: with loads known and fixings to stand on. */
const charted = computed(() => {
  const held = selection.value
  const at = stage === 'rails' && held.kind === 'rail' ? facePlan.value.rails.findIndex(rail => rail.id === held.id) : -1
  return facePlan.value.uses[at] ? facePlan.value.rails[at]!.id : null
})
usePlannerKeys({
  jobId: () => jobId, stage: () => stage, toggle, balance, swapDatum, step,
  undo: store.undo, redo: store.redo,
  selectAll: () => selection.value = selectedOn(stage),
  showWorking: () => showsWorking.value = true, showHelp: () => showsHelp.value = true, showPalette: () => showsPalette.value = true,
})
</script>

<template>
  <div class="flex min-h-0 flex-1 max-md:flex-col print:block">
    <PlannerLadderNav
      class="no-print md:py-3 md:pl-4"
      :stage="stage"
      :findings="plan.findings"
      :job-id="jobId"
    />
    <main
      v-if="view.shows === 'sheet'"
      id="work"
      tabindex="-1"
      class="min-w-0 flex-1 overflow-y-auto outline-none print:overflow-visible"
    >
      <component
        :is="view.sheet"
        :job-id="jobId"
      />
    </main>
    <template v-else>
      <main class="flex min-w-0 flex-1 flex-col print:block">
        <h1 class="hidden text-xl font-bold print:block">
          {{ job.title }}{{ job.place ? `, ${job.place}` : '' }}: {{ face.name.toLowerCase() }}, {{ stages.find(one => one.id === stage)!.title.toLowerCase() }}
        </h1>
        <div class="no-print flex items-center justify-between gap-2 px-4 pt-2 max-md:px-2 max-md:pt-1 max-xl:md:flex-wrap">
          <FaceLayerBar
            v-if="view.shows === 'face' && !over"
            class="max-md:flex-nowrap max-md:overflow-x-auto"
          />
          <span v-else />
          <div class="flex shrink-0 items-center gap-1">
            <template v-if="view.shows === 'face' && !phone">
              <UButton
                v-if="!face.inRoof"
                size="xs"
                color="neutral"
                variant="outline"
                label="Balance"
                title="Balance the overhangs: key B"
                @click="balance"
              />
              <UButton
                size="xs"
                color="neutral"
                variant="outline"
                :label="`Datum ${face.datum}`"
                title="Swap the datum corner: key T"
                @click="swapDatum"
              />
              <UButton
                size="xs"
                color="neutral"
                variant="outline"
                label="Working"
                title="Working of what is selected: key ."
                @click="showsWorking = true"
              />
            </template>
            <UButton
              size="xs"
              color="neutral"
              variant="outline"
              icon="i-lucide-undo-2"
              aria-label="Undo"
              :disabled="!store.canUndo"
              @click="store.undo()"
            />
            <UButton
              size="xs"
              color="neutral"
              variant="outline"
              icon="i-lucide-redo-2"
              aria-label="Redo"
              :disabled="!store.canRedo"
              @click="store.redo()"
            />
            <UButton
              v-if="phone"
              size="xs"
              color="neutral"
              variant="outline"
              icon="i-lucide-ellipsis"
              aria-label="Go anywhere, do anything"
              @click="showsPalette = true"
            />
            <UButton
              v-else
              size="xs"
              color="neutral"
              variant="outline"
              label="?"
              aria-label="Shortcuts"
              @click="showsHelp = true"
            />
          </div>
        </div>
        <p
          aria-live="polite"
          :class="view.shows === 'page' ? 'sr-only' : ''"
          class="h-6 px-4 text-[15px] font-medium text-chalk-600 max-md:h-auto max-md:min-h-1"
          data-testid="message"
        >
          {{ store.preview ? 'Preview of the cure. Press it to make the change.' : message }}
        </p>
        <div
          v-if="view.shows === 'page'"
          id="work"
          class="min-h-0 flex-1 overflow-y-auto"
          tabindex="0"
          role="region"
          :aria-label="view.label"
        >
          <component :is="view.page" />
        </div>
        <component
          :is="over?.component ?? 'div'"
          v-else
          class="flex min-h-0 flex-1 flex-col"
        >
          <FaceDrawing
            class="min-h-0 flex-1"
            :job="shown.job"
            :face="shown.face"
            :plan="shown.plan"
            :selection="selection"
            :shows-hits="view.hits"
            :shows-use="view.use"
            @select="select"
            @nudge="nudge"
            @kind="stepKind"
          />
        </component>
        <LazyLoadsRailChart
          v-if="charted"
          class="shrink-0"
          :rail-id="charted"
        />
      </main>
      <aside
        ref="aside"
        class="flex w-80 shrink-0 flex-col border-l border-graphite-300 bg-sheet print:mt-4 print:block print:w-full print:border-0 print:bg-transparent max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-30 max-md:h-[64dvh] max-md:w-full max-md:border-t-4 max-md:border-l-0 max-md:border-graphite-900"
        :class="phone && !drawn ? 'hidden' : ''"
        tabindex="-1"
        aria-label="The slip and the findings"
        @keydown.escape="phone && (drawn = null)"
      >
        <div
          v-if="phone"
          class="flex items-center justify-between border-b border-graphite-300 pr-1 pl-4"
        >
          <b>{{ drawn === 'findings' ? 'Findings' : 'Slip' }}</b>
          <UButton
            color="neutral"
            variant="ghost"
            icon="i-lucide-x"
            aria-label="Close"
            @click="drawn = null"
          />
        </div>
        <div
          v-if="view.shows === 'face'"
          v-show="!phone || drawn === 'slip'"
          class="min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-4"
          tabindex="0"
          role="region"
          aria-label="The slip"
        >
          <SlipHeld v-if="!over && (selection.kind === 'module' || selection.kind === 'fixing')" />
          <component :is="view.slip" />
        </div>
        <PlannerFindingsList
          v-show="!phone || drawn === 'findings'"
          class="overflow-y-auto px-4 pt-2 pb-3"
          :class="view.shows === 'page' ? 'max-md:flex-1' : 'border-graphite-900 max-md:flex-1 md:max-h-[40%] md:shrink-0 md:border-t-2'"
          :findings="[...found.here, ...found.elsewhere]"
          :rests="rests"
          @cure="store.commit($event.edit)"
          @preview="store.previewEdit($event?.edit ?? null)"
          @show="showFinding"
        />
        <component
          :is="view.beside"
          v-if="view.shows === 'page'"
          v-show="!phone || drawn === 'slip'"
          class="min-h-0 flex-1 overflow-y-auto px-4 pb-3"
          :job-id="jobId"
        />
      </aside>
      <div
        v-if="phone"
        class="no-print sticky bottom-0 z-20 flex border-t-4 border-graphite-900 bg-sheet"
      >
        <button
          type="button"
          class="flex-1 border-r border-graphite-300 py-3 font-bold"
          @click="draw('slip')"
        >
          {{ view.shows === 'page' ? view.besideName : 'Measurements' }}
        </button>
        <button
          type="button"
          class="flex flex-1 items-center justify-center gap-2 py-3 font-bold"
          @click="draw('findings')"
        >
          <PlannerStateMark :state="worst" />Findings{{ count ? `: ${count}` : '' }}
        </button>
      </div>
    </template>
    <p
      aria-live="polite"
      class="sr-only"
      data-testid="announced"
    >
      {{ announced }}
    </p>
    <LazyPlannerWorkingPanel
      v-if="workingOpened"
      v-model:open="showsWorking"
      :workings="workings"
      :all="allWorkings"
      :units="job.units"
    />
    <LazyPlannerShortcutsHelp
      v-if="helpOpened"
      v-model:open="showsHelp"
    />
    <LazyPlannerPalette
      v-if="paletteOpened"
      v-model:open="showsPalette"
      :job-id="jobId"
      @balance="balance"
      @swap-datum="swapDatum"
      @working="showsWorking = true"
    />
  </div>
</template>
