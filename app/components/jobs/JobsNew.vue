<script setup lang="ts">
import { v4 as newId } from 'uuid'
import type { Outcome } from '#core/outcome'
import type { UnitSystem } from '#core/units'

/** A new job by its address and the units its tape reads in. */
const { create } = defineProps<{ create: (id: string, draft: { title: string, place: string, units: UnitSystem }) => Promise<Outcome<{ jobId: string }>> }>()
const open = defineModel<boolean>('open', { required: true })
const draft = reactive({ title: '', place: '', units: 'imperial' as UnitSystem })
const problem = ref('')
const busy = ref(false)
/** One job is wanted each time the dialog opens, however often somebody presses. */
let id = newId()
watch(open, (now) => {
  if (!now) return
  id = newId()
  problem.value = ''
})
async function openIt() {
  if (busy.value) return
  busy.value = true
  const outcome = await create(id, draft)
  if (outcome.ok) await navigateTo(`/jobs/${outcome.value.jobId}/survey`)
  else problem.value = outcome.problem
  busy.value = false
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="New job"
    description="It starts with one face at usual sizes; type your tape’s readings over them."
  >
    <template #body>
      <form
        class="space-y-4"
        @submit.prevent="openIt"
      >
        <UFormField
          label="Name or address"
          required
        >
          <UInput
            v-model="draft.title"
            class="w-full"
            autofocus
          />
        </UFormField>
        <UFormField label="Place">
          <UInput
            v-model="draft.place"
            class="w-full"
          />
        </UFormField>
        <UFormField label="Lengths are read in">
          <FieldChoiceList
            :value="draft.units"
            class="w-full"
            :choices="[{ label: 'Feet, inches and sixteenths', value: 'imperial' }, { label: 'Millimetres', value: 'metric' }]"
            @choose="draft.units = $event"
          />
        </UFormField>
        <p
          v-if="problem"
          role="alert"
          class="font-medium text-brick-600"
        >
          {{ problem }}
        </p>
        <UButton
          type="submit"
          label="Open it"
          :disabled="busy"
        />
      </form>
    </template>
  </UModal>
</template>
