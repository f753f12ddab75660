<script setup lang="ts">
import { workingsFor } from '#core/hand'
import type { Ref as FaceRef } from '#core/trade'
import type { Working } from '#core/working'

/** The working of a figure, beside it. */
const { what, about, given, at } = defineProps<{ what: string, about: FaceRef | null, given: Working[], /** Where it stands. */ at: HTMLElement }>()
const open = defineModel<boolean>('open', { required: true })
const { job, face, facePlan, units, selection } = useFace()
const all = computed(() => open.value ? [...given, ...workingsFor({ job: job.value, face: face.value, plan: facePlan.value }, about ?? selection.value)] : [])
const working = computed(() => all.value.find(one => one.what === what) ?? all.value.find(one => one.what.startsWith(what)) ?? null)
</script>

<template>
  <UPopover
    v-model:open="open"
    :reference="at"
    :ui="{ content: 'w-88 max-w-[calc(100vw-1rem)] max-h-[70dvh] overflow-y-auto rounded-sm border border-graphite-400 bg-sheet p-3' }"
    :content="{ side: 'left', align: 'start', collisionPadding: 8 }"
  >
    <template #content>
      <WorkingCard
        v-if="working"
        :working="working"
        :all="all"
        :units="units"
      />
      <p
        v-else
        class="text-[15px]"
      >
        Nothing was worked out here: it is as it was typed or read.
      </p>
    </template>
  </UPopover>
</template>
