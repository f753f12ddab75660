<script setup lang="ts">
import { cloneDeep, get } from 'es-toolkit/compat'
import { type Catalogue, currentAtPower, type Item, type Shelved, type Source } from '#core/catalogue'
import type { Outcome, Problem } from '#core/outcome'
import { figuresOf, type Group, keptBy, shelfWords, startingRow, type Used, usesOf } from '#core/shelf'
import type { UnitSystem } from '#core/units'

/** A part with all its figures, to be typed, looked at, copied, retired or taken away. */
const { start, unsaved, catalogue, used, units, told } = defineProps<{
  start: PartDraft
  /** What was typed of it before and not saved. */
  unsaved: PartDraft | null
  catalogue: Catalogue
  used: Used
  units: UnitSystem
  /** What was done last. */
  told: string
}>()
const { change } = inject<ReturnType<typeof useShelf>>('shelf')!
const emit = defineEmits<{ saved: [of: PartDraft, id: string, said: string], draft: [draft: PartDraft, differs: boolean], copy: [item: Item], remove: [item: Item], close: [] }>()

const me = useMe()
const draft = shallowRef(unsaved ?? start)
// The shelf as the server has it now: what was typed on an older state stays, and saving it tells who was there meanwhile.
watch(() => start, (next) => {
  if (changed.value) return
  draft.value = next
  tried.value = false
  failed.value = ''
})
const shelf = computed(() => draft.value.shelf)
const words = computed(() => shelfWords[shelf.value])
const part = computed(() => draft.value.item as unknown as Shelved)
const saving = computed(() => savingOf(draft.value, catalogue, used))
/** What is wrong is told of what was typed at once, of the rest when somebody wants to save. */
const tried = ref(false)
const touched = ref(new Set<string>())
const problemAt = (path: string): string => saving.value.problems.filter(one => one.path === path || (one.path.startsWith(`${path}.`) && path !== '')).filter(() => tried.value || touched.value.has(path)).map(one => one.sentence)[0] ?? ''
const placed = computed(() => figuresOf(shelf.value, group => (get(draft.value.item, group.rows!.path) as unknown[] | undefined)?.length ?? 0))
const paths = computed(() => new Set(placed.value.map(one => one.path)))
/** What is wrong and stands beside no field. */
const elsewhere = computed((): Problem[] => tried.value ? saving.value.problems.filter(one => ![...paths.value].some(path => one.path === path || one.path.startsWith(`${path}.`)) && !one.path.startsWith('source')) : [])
const sourceProblem = computed(() => tried.value ? saving.value.problems.find(one => one.path.startsWith('source'))?.sentence ?? '' : '')

function put(path: string, value: unknown) {
  touched.value.add(path)
  draft.value = withFigure(draft.value, path, value)
}
function putSource(path: string, source: Partial<Source> | null) {
  const { [path]: _, ...others } = part.value.figureSources
  draft.value = withFigure(draft.value, 'figureSources', source ? { ...others, [path]: source as Source } : others)
}
const has = ({ maybe }: Group) => !maybe || get(draft.value.item, maybe.path) !== null
const turn = (group: Group, on: boolean) => put(group.maybe!.path, on ? optionalOf(group) : null)
const figuresIn = (group: Group) => placed.value.filter(one => one.group === group)
const rowsOf = ({ rows }: Group) => (get(draft.value.item, rows!.path) as unknown[] | undefined) ?? []
const rowFigures = (group: Group, i: number) => figuresIn(group).filter(one => one.path.startsWith(`${group.rows!.path}.${i}.`))
const addRow = (group: Group) => draft.value = withFigure(draft.value, group.rows!.path, [...((get(draft.value.item, group.rows!.path) as unknown[] | undefined) ?? []), startingRow(group)])
const dropRow = ({ rows }: Group, i: number) => draft.value = withFigure(draft.value, rows!.path, (get(draft.value.item, rows!.path) as unknown[]).filter((_, other) => other !== i))
/** What the plate's watts and volts make of the current, for whoever can't read it. */
const plateCurrent = computed(() => {
  const { powerW, plate } = draft.value.item as { powerW?: number, plate?: { vmpV?: number } | null }
  return shelf.value === 'modules' && powerW && plate?.vmpV ? `${powerW} W at ${plate.vmpV} V are ${currentAtPower(powerW, plate.vmpV).toFixed(2)} A.` : ''
})

const bySource = ref(false)
const panel = useTemplateRef<HTMLElement>('panel')
const failed = ref('')
const busy = ref(false)
const uses = computed(() => draft.value.was ? usesOf(used, shelf.value, draft.value.was.id) : 0)
const jobs = (n: number) => `${n} ${n === 1 ? 'job' : 'jobs'}`
const changed = computed(() => !draft.value.was || JSON.stringify(draft.value.item) !== JSON.stringify(draft.value.was))
watch(draft, now => emit('draft', now, changed.value && now !== start))
function putBack() {
  draft.value = start
  tried.value = false
  failed.value = ''
}
const kept = computed(() => draft.value.was ? keptBy(catalogue, shelf.value, draft.value.was.id, used) : null)

async function tell(asked: Promise<Outcome<true>>, id: string, done: string) {
  busy.value = true
  const outcome = await asked
  busy.value = false
  failed.value = outcome.ok ? '' : outcome.problem
  if (!outcome.ok) return
  const of = draft.value
  draft.value = start
  emit('saved', of, id, done)
}
async function save() {
  tried.value = true
  const { problems, changes, id, inPlace } = saving.value
  failed.value = problems.length ? `Not saved: ${problems.length === 1 ? 'one figure is' : `${problems.length} figures are`} missing or wrong.` : ''
  if (problems.length) return nextTick(() => panel.value?.querySelector('[role=alert]')?.scrollIntoView({ block: 'center' }))
  await tell(change(changes), id, inPlace ? `Saved as a new ${words.value.one}; ${jobs(uses.value)} ${uses.value === 1 ? 'keeps' : 'keep'} the old one, which is retired.` : 'Saved.')
}
async function retire(retired: boolean) {
  const was = draft.value.was!
  await tell(change([{ shelf: shelf.value, was, item: { ...cloneDeep(was), retired } }]), was.id, retired ? 'Retired: it is not offered any more, and jobs that use it keep it.' : 'Offered again.')
}
const title = computed(() => 'name' in draft.value.item && draft.value.item.name ? String(draft.value.item.name) : `New ${words.value.one}`)
</script>

<template>
  <section
    class="flex min-h-0 flex-col"
    :aria-label="title"
  >
    <header class="flex items-start justify-between gap-2 border-b border-graphite-300 px-4 py-3">
      <div>
        <h2 class="text-lg leading-tight font-bold">
          {{ title }}
        </h2>
        <p class="text-[13px] text-muted">
          {{ draft.was ? uses ? `In ${jobs(uses)}` : 'In no job yet' : draft.like ? 'A copy, with what goes with it' : `On the shelf once it is saved` }}{{ part.retired ? ' · retired' : '' }}
        </p>
      </div>
      <UButton
        icon="i-lucide-x"
        color="neutral"
        variant="ghost"
        size="sm"
        aria-label="Close"
        @click="emit('close')"
      />
    </header>
    <div
      ref="panel"
      class="min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-6"
    >
      <p
        v-if="uses"
        class="mb-3 border-l-4 border-chalk-400 py-0.5 pl-3 text-[15px]"
      >
        {{ jobs(uses) }} {{ uses === 1 ? 'uses' : 'use' }} it. Other figures are saved as a new part in its place; only prices change for those jobs too.
      </p>
      <ul
        v-if="elsewhere.length"
        role="alert"
        class="mb-3 border-l-4 border-brick-500 py-0.5 pl-3 text-[15px] font-medium text-brick-600"
      >
        <li
          v-for="one in elsewhere"
          :key="one.path"
        >
          {{ one.sentence }}
        </li>
      </ul>
      <template
        v-for="(group, g) in words.groups"
        :key="group.title"
      >
        <h3 class="slip-title mt-5">
          {{ group.title }}
        </h3>
        <ShelfModuleDrawing
          v-if="shelf === 'modules' && group.title.startsWith('Clamp zones')"
          :item="draft.item"
          :units="units"
        />
        <UCheckbox
          v-if="group.maybe"
          :label="group.maybe.has"
          :model-value="has(group)"
          class="py-1"
          @update:model-value="turn(group, $event === true)"
        />
        <template v-if="group.rows">
          <fieldset
            v-for="(_, i) in rowsOf(group)"
            :key="i"
            class="mb-2 border-l-2 border-graphite-300 pl-3"
          >
            <legend class="flex w-full items-center justify-between text-[13px] font-semibold">
              <span>{{ group.rows.one }} {{ i + 1 }}</span>
              <UButton
                size="xs"
                color="neutral"
                variant="ghost"
                icon="i-lucide-x"
                :aria-label="`Remove ${group.rows.one.toLowerCase()} ${i + 1}`"
                @click="dropRow(group, i)"
              />
            </legend>
            <ShelfFigure
              v-for="one in rowFigures(group, i)"
              :key="one.path"
              :one="one"
              :value="get(draft.item, one.path)"
              :catalogue="catalogue"
              :units="units"
              :part="part"
              :problem="problemAt(one.path)"
              :by-source="bySource"
              @change="put(one.path, $event)"
              @source="putSource(one.path, $event)"
            />
          </fieldset>
          <UButton
            v-if="rowsOf(group).length < group.rows.most"
            size="xs"
            color="neutral"
            variant="outline"
            icon="i-lucide-plus"
            :label="`Another ${group.rows.one.toLowerCase()}`"
            @click="addRow(group)"
          />
        </template>
        <template v-else-if="has(group)">
          <ShelfFigure
            v-for="one in figuresIn(group)"
            :key="one.path"
            :one="one"
            :value="get(draft.item, one.path)"
            :catalogue="catalogue"
            :units="units"
            :part="part"
            :problem="problemAt(one.path)"
            :by-source="bySource"
            @change="put(one.path, $event)"
            @source="putSource(one.path, $event)"
          />
          <p
            v-if="group.maybe?.path === 'plate' && plateCurrent"
            class="mt-1 text-[13px] text-muted"
          >
            {{ plateCurrent }}
          </p>
        </template>
        <template v-if="g === 0">
          <h3 class="slip-title mt-5">
            Where the figures come from
          </h3>
          <ShelfSource
            :source="part.source"
            @change="put('source', $event)"
          />
          <p
            v-if="sourceProblem"
            role="alert"
            class="mt-1 text-sm font-medium text-brick-600"
          >
            {{ sourceProblem }}
          </p>
          <UCheckbox
            v-if="shelf !== 'pairs'"
            v-model="bySource"
            label="Say of single figures that they come from elsewhere"
            class="mt-2"
          />
        </template>
      </template>
      <ShelfGoesWith
        v-if="draft.was && (shelf === 'rails' || shelf === 'mounts' || shelf === 'clamps')"
        :shelf="shelf"
        :item="draft.was"
        :catalogue="catalogue"
      />
      <ShelfApproved
        v-if="draft.was && shelf === 'approvals'"
        :key="draft.was.id"
        :approval-id="draft.was.id"
      />
    </div>
    <footer class="border-t border-graphite-300 px-4 py-3">
      <p
        v-if="failed || told"
        :role="failed ? 'alert' : 'status'"
        class="mb-2 text-[15px]"
        :class="failed ? 'font-medium text-brick-600' : ''"
      >
        {{ failed || told }}
      </p>
      <p
        v-if="!me.may('shelf')"
        class="text-[15px] text-muted"
      >
        To read: a planner changes the shelf.
      </p>
      <div
        v-else
        class="flex flex-wrap gap-2"
      >
        <UButton
          :label="uses && saving.inPlace ? 'Save in its place' : 'Save'"
          :disabled="!changed || busy"
          @click="save"
        />
        <UButton
          v-if="changed && draft !== start"
          color="neutral"
          variant="outline"
          label="Put back"
          :disabled="busy"
          @click="putBack"
        />
        <template v-else-if="draft.was">
          <UButton
            color="neutral"
            variant="outline"
            label="Copy and change"
            :disabled="busy"
            @click="emit('copy', draft.was)"
          />
          <UButton
            v-if="shelf !== 'pairs'"
            color="neutral"
            variant="outline"
            :label="part.retired ? 'Offer again' : 'Retire'"
            :disabled="busy"
            @click="retire(!part.retired)"
          />
          <UButton
            v-if="!kept"
            color="neutral"
            variant="ghost"
            label="Take away"
            :disabled="busy"
            @click="emit('remove', draft.was)"
          />
        </template>
      </div>
    </footer>
  </section>
</template>
