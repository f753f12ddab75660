<script setup lang="ts">
import { stages } from '#core/job/stages'
import { layerSwitches, useLayers } from '../../composables/useLayers'

/** Go anywhere, do anything, by typing. */
const { jobId } = defineProps<{ jobId: string }>()
const emit = defineEmits<{ balance: [], swapDatum: [], working: [] }>()
const open = defineModel<boolean>('open', { required: true })
const store = useJobStore()
const mode = useColorMode()
const { shows, toggle } = useLayers()
const stagePath = useStagePath()
const { choose } = useFaceChoice(computed(() => store.job))

const then = (action: () => unknown) => () => {
  open.value = false
  action()
}
const groups = computed(() => [
  { id: 'stages', label: 'Go to', items: stages.map(stage => ({ label: stage.title, onSelect: then(() => navigateTo(stagePath(jobId, stage.id))) })) },
  { id: 'faces', label: 'Faces', items: (store.job?.faces ?? []).map(face => ({ label: face.name, onSelect: then(() => choose(face.id)) })) },
  {
    id: 'actions', label: 'Do', items: [
      { label: 'Balance the overhangs', onSelect: then(() => emit('balance')) },
      { label: 'Swap the datum corner', onSelect: then(() => emit('swapDatum')) },
      { label: 'Show the working', onSelect: then(() => emit('working')) },
      { label: 'Undo', onSelect: then(() => store.undo()) },
      { label: 'Redo', onSelect: then(() => store.redo()) },
      { label: 'Save the job file', onSelect: then(() => navigateTo(`/api/jobs/${jobId}/job.json`, { external: true })) },
      { label: 'Light theme', onSelect: then(() => mode.preference = 'light') },
      { label: 'Dark theme', onSelect: then(() => mode.preference = 'dark') },
      { label: 'Theme as the device has it', onSelect: then(() => mode.preference = 'system') },
      { label: 'All jobs', onSelect: then(() => navigateTo('/')) },
    ],
  },
  {
    id: 'layers',
    label: 'Layers',
    items: layerSwitches.map(layer => ({ label: `${shows.value[layer.key] ? 'Hide' : 'Show'} ${layer.name.toLowerCase()}`, onSelect: then(() => toggle(layer.key)) })),
  },
])
</script>

<template>
  <UModal
    v-model:open="open"
    title="Go anywhere, do anything"
    description="Type a few letters of what you want."
    :ui="{ header: 'sr-only', body: 'p-0 sm:p-0' }"
  >
    <template #body>
      <UCommandPalette
        :groups="groups"
        class="h-96"
        placeholder="Type a few letters"
      />
    </template>
  </UModal>
</template>
