<script setup lang="ts">
/** The load-out: the van list to tick, what each face takes, lifts, what is bought, spares, and which stick each piece of rail is cut from. */
const { jobId } = defineProps<{ jobId: string }>()
const { sheet, error } = useSheet(jobId)
const units = computed(() => sheet.value!.job.units)
const print = () => window.print()
const part = ref('van')
const parts5 = computed(() => [
  { label: 'Van list', value: 'van' }, {
    label: 'By face',
    value: 'faces',
  }, { label: 'Lifts', value: 'lifts' }, { label: 'Cut plan', value: 'cuts' }, { label: 'Buy', value: 'buy' }, { label: 'Spares', value: 'spares' },
])
const file = (name: string) => ({ to: `/api/jobs/${jobId}/${name}`, external: true, target: '_blank' })
const files = [
  { label: 'Load-out (XLSX)', ...file('load-out.xlsx') }, { label: 'Load-out (CSV)', ...file('load-out.csv') }, { label: 'Purchase list (CSV)', ...file('purchases.csv') },
]
const cut = computed(() => sheet.value?.plan.faces.flatMap((plan, f) => plan.sticks.sticks.length ? [{ plan, name: sheet.value!.job.faces[f]!.name }] : []) ?? [])
</script>

<template>
  <div class="mx-auto max-w-4xl p-5 max-md:p-3 print:max-w-none print:p-0">
    <p
      v-if="error"
      role="alert"
      class="border-l-4 border-brick-500 py-1 pl-3"
    >
      The sheet can’t be read from the server just now. It comes back by itself when the last edit has been saved.
    </p>
    <template v-else-if="sheet">
      <SheetHead
        title="Load-out"
        :job="sheet.job"
        :version="sheet.version"
        :updated-at="sheet.updatedAt"
      >
        <UButton
          color="neutral"
          icon="i-lucide-printer"
          label="Print"
          @click="print"
        />
        <UDropdownMenu :items="files">
          <UButton
            color="neutral"
            variant="outline"
            icon="i-lucide-download"
            label="Files"
            trailing-icon="i-lucide-chevron-down"
          />
        </UDropdownMenu>
      </SheetHead>
      <p
        v-if="!sheet.plan.list.length"
        class="text-lg"
      >
        Nothing to load yet: no row stands on the face. Set the rows first.
      </p>
      <template v-else>
        <SlipTabs
          v-model="part"
          class="no-print"
          :parts="parts5"
        />
        <SheetLoadVan
          v-if="part === 'van'"
          :job-id="jobId"
          :loadout="sheet.loadout"
          :units="units"
          :van-mm="sheet.job.van.longestMm"
        />
        <SheetLoadFaces
          v-else-if="part === 'faces'"
          :job="sheet.job"
          :loadout="sheet.loadout"
          :units="units"
        />
        <SheetLoadLifts
          v-else-if="part === 'lifts'"
          :job="sheet.job"
          :loadout="sheet.loadout"
          :units="units"
        />
        <SheetLoadBuy
          v-else-if="part === 'buy'"
          :loadout="sheet.loadout"
          :units="units"
        />
        <SheetLoadSpares
          v-else-if="part === 'spares'"
          :job="sheet.job"
          :loadout="sheet.loadout"
        />
        <template v-else>
          <section
            v-for="one in cut"
            :key="one.plan.faceId"
            class="mb-6"
          >
            <SheetCutPlan
              :face-name="one.name"
              :plan="one.plan"
              :units="units"
            />
          </section>
          <p v-if="!cut.length">
            No rail to cut: the modules’ own frames are coupled.
          </p>
        </template>
      </template>
    </template>
    <p
      v-else
      class="text-muted"
    >
      Working out the sheet…
    </p>
  </div>
</template>
