<script setup lang="ts">
import type { Catalogue, CoveringKind } from '#core/catalogue'
import { coveringKinds, offered } from '#core/catalogue'
import { coveringNames, usualCovering } from '#core/coverings'
import { setKey, setName, usualSpacingMm, usualSupport } from '#core/start'
import { faceRef, plural } from '#core/trade'
import { formatLength } from '#core/units'

/** The start of a job: what is known on the ground, with the roof drawn as it is typed. What is left empty is assumed, and said to be. */
useHead({ title: 'New job · Upper Deck' })
const { data } = await useFetch<{ catalogue: Catalogue }>('/api/shelf', { deep: false })
const catalogue = computed(() => data.value?.catalogue)
const { draft, set, setRoof, setCodes, setUnits, covering, sets, chosenSet, faces, started, plan, open, clear } = useStart(catalogue)
const units = computed(() => draft.value.units)
const kinds = coveringKinds.map(value => ({ value, label: coveringNames[value] }))
const chooseCovering = (kind: CoveringKind) => set({ covering: usualCovering(kind, units.value === 'imperial'), setKey: null })
const coverings = computed(() => catalogue.value ? offered(catalogue.value.coverings).filter(item => item.size.kind === covering.value.kind) : [])
const modules = computed(() => catalogue.value ? offered(catalogue.value.modules).map(one => ({ value: one.id, label: one.name })) : [])
function takeWanted(text: string) {
  const wanted = parseWanted(text)
  return wanted.ok ? set({ wanted: wanted.value }) : wanted
}
const toggle = (name: string) => set({ carries: draft.value.carries.includes(name) ? draft.value.carries.filter(one => one !== name) : [...draft.value.carries, name] })
/** Faces of another form have other names: those that are there no more carry nothing. */
const names = computed(() => faces.value.ok ? faces.value.value.map(face => face.name) : [])
watch(names, (now) => {
  const kept = draft.value.carries.filter(name => now.includes(name))
  if (now.length && !kept.length) set({ carries: [now[0]!] })
  else if (kept.length !== draft.value.carries.length) set({ carries: kept })
}, { immediate: true })

/** The face that is drawn: the first that carries modules. */
const shown = computed(() => {
  if (!plan.value) return null
  const at = Math.max(0, plan.value.job.faces.findIndex(face => face.array.rowCount !== 0))
  return { job: plan.value.job, face: plan.value.job.faces[at]!, plan: plan.value.plan.faces[at]! }
})
const short = computed(() => plan.value?.plan.findings.find(finding => finding.kind === 'wanted-short')?.sentence)
const unread = computed(() => plan.value?.plan.findings.filter(finding => finding.assumed) ?? [])
const problem = ref('')
const busy = ref(false)
async function openIt() {
  if (busy.value) return
  busy.value = true
  const outcome = await open()
  if (outcome.ok) await navigateTo(`/jobs/${outcome.value}/survey`)
  else problem.value = outcome.problem
  busy.value = false
}
</script>

<template>
  <div class="flex h-dvh flex-col max-md:h-auto max-md:min-h-dvh">
    <header class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-graphite-900 px-4 py-2">
      <NuxtLink
        to="/"
        aria-label="All jobs"
        class="shrink-0"
      >
        <img
          :src="MARK"
          alt=""
          class="size-8"
        >
      </NuxtLink>
      <h1 class="text-lg font-bold">
        New job
      </h1>
      <p class="text-[15px] text-muted">
        Leave empty what nobody has read yet: it is drawn at a usual size and marked as assumed.
      </p>
      <UButton
        class="ml-auto"
        size="sm"
        color="neutral"
        variant="ghost"
        label="Empty the form"
        @click="clear"
      />
      <ThemeSwitch />
    </header>
    <div class="flex min-h-0 flex-1 max-md:flex-col">
      <div class="flex w-[40rem] shrink-0 flex-col border-r border-graphite-300 bg-sheet max-lg:w-96 max-md:w-full">
        <div class="grid min-h-0 flex-1 grid-cols-2 content-start gap-x-6 overflow-y-auto px-4 py-3 max-lg:grid-cols-1">
          <section>
            <h2 class="slip-title">
              Where
            </h2>
            <FieldTypedField
              label="Name or address"
              wide
              :shown="draft.title"
              :commit="text => set({ title: text.trim() })"
            />
            <FieldTypedField
              label="Place"
              wide
              :shown="draft.place"
              :commit="text => set({ place: text.trim() })"
            />
            <FieldPickField
              label="Lengths are read in"
              :value="draft.units"
              :choices="[{ label: 'Feet and inches', value: 'imperial' }, { label: 'Millimetres', value: 'metric' }]"
              @choose="setUnits"
            />
            <SiteCodes
              :codes="draft.codes"
              :units="units"
              @choose="setCodes"
            />
            <h2 class="slip-title mt-4">
              Roof
            </h2>
            <StartRoof
              :roof="draft.roof"
              :units="units"
              :commit="setRoof"
            />
            <FieldLengthField
              label="Eave above ground"
              hint="wind goes by it"
              :mm="draft.eaveHeightMm"
              :units="units"
              optional
              :commit="mm => set({ eaveHeightMm: mm })"
            />
          </section>
          <section>
            <h2 class="slip-title">
              Array
            </h2>
            <FieldTypedField
              label="Modules wanted"
              hint="on the whole roof; empty for as many as fit"
              :shown="draft.wanted === null ? '' : String(draft.wanted)"
              :commit="takeWanted"
            />
            <FieldChoiceField
              label="Module"
              :value="chosenSet?.parts.module.id ?? ''"
              :choices="modules"
              @choose="set({ moduleId: $event })"
            />
            <FieldPickField
              label="Covering"
              :hint="draft.covering ? undefined : `drawn as ${coveringNames[covering.kind].toLowerCase()} until seen`"
              :value="draft.covering?.kind ?? null"
              :choices="kinds"
              @choose="chooseCovering"
            />
            <FieldChoiceField
              v-if="coverings.length"
              label="As sold"
              value=""
              placeholder="At usual sizes"
              :choices="coverings.map(one => ({ value: one.id, label: one.name }))"
              @choose="id => set({ covering: { ...covering, ...coverings.find(one => one.id === id)!.size } as typeof covering })"
            />
            <FieldChoiceField
              v-if="sets.length"
              label="Set that goes through it"
              :value="chosenSet ? setKey(chosenSet) : ''"
              :choices="sets.map(one => ({ value: setKey(one), label: setName(one) }))"
              @choose="set({ setKey: $event })"
            />
            <template v-if="usualSupport(covering.kind) === 'rafters'">
              <h2 class="slip-title mt-4">
                Rafters
              </h2>
              <FieldLengthField
                label="Spacing, centre to centre"
                :hint="draft.spacingMm === null ? `drawn at ${formatLength(usualSpacingMm(units), units)} until read` : undefined"
                :mm="draft.spacingMm"
                :units="units"
                optional
                :commit="mm => set({ spacingMm: mm })"
              />
              <FieldLengthField
                label="First one’s centre"
                hint="from the eave’s left end"
                :mm="draft.firstCentreMm"
                :units="units"
                optional
                :commit="mm => set({ firstCentreMm: mm })"
              />
            </template>
            <h2 class="slip-title mt-4">
              Wind and snow here
            </h2>
            <LoadsPlace
              v-if="draft.loads.edition"
              :place="draft.loads"
              :units="units"
              :commit="values => set({ loads: { ...draft.loads, ...values } })"
            />
            <p
              v-else
              class="text-[15px] text-muted"
            >
              Choose the adopted building code first: what is asked of the place follows from it. There is no usual wind or snow.
            </p>
          </section>
        </div>
        <footer class="no-print border-t-2 border-graphite-900 px-4 py-3">
          <p
            v-if="problem || !started.ok"
            role="alert"
            class="mb-2 border-l-4 border-brick-500 pl-3 text-[15px]"
          >
            {{ problem || (started.ok ? '' : started.problem) }}
          </p>
          <div class="flex items-center gap-3">
            <UButton
              label="Open the job"
              :disabled="busy || !started.ok"
              @click="openIt"
            />
            <p
              v-if="plan"
              class="text-[15px] leading-snug text-muted"
            >
              {{ unread.length ? `${plural(unread.length, 'thing')} assumed so far: nothing is issued as clear before ${unread.length === 1 ? 'it is' : 'they are'} read.` : 'Nothing is assumed but what a roof hides.' }}
            </p>
          </div>
        </footer>
      </div>
      <main class="flex min-w-0 flex-1 flex-col">
        <FaceDrawing
          v-if="shown"
          class="min-h-72 flex-1"
          :job="shown.job"
          :face="shown.face"
          :plan="shown.plan"
          :selection="faceRef"
        />
        <div class="border-t border-graphite-300 bg-sheet px-4 py-2">
          <p
            v-if="plan"
            role="status"
            class="text-[15px]"
          >
            <b>{{ plural(plan.plan.totals.modules, 'module') }}</b> {{ plan.plan.totals.modules === 1 ? 'stands' : 'stand' }}{{ draft.wanted === null ? `, as many as fit on what is picked` : plan.plan.totals.modules === draft.wanted ? `, as asked; ${plan.plan.roof.fits} would fit` : '' }}. {{ short }}
          </p>
          <StartPlan
            v-if="faces.ok"
            :faces="faces.value"
            :carries="draft.carries"
            :modules="plan?.plan.faces.map(one => one.modules) ?? []"
            @toggle="toggle"
          />
          <p class="text-center text-[13px] text-muted">
            From above, north up. Press a face to give it modules or leave it bare.
          </p>
        </div>
      </main>
    </div>
  </div>
</template>
