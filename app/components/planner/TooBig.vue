<script setup lang="ts">
import { plural } from '#core/trade'

/** A job whose plan takes long: what makes it big, and what can be taken off without waiting for it. */
const store = useJobStore()
const faces = computed(() => store.job?.faces ?? [])
const clear = (faceId: string) => store.commit({ type: 'set-face', faceId, values: { obstructions: [] } })
const remove = (faceId: string) => store.commit({ type: 'remove-face', faceId })
</script>

<template>
  <main
    id="work"
    class="min-h-0 overflow-y-auto p-8"
  >
    <h2 class="mb-2 text-xl font-bold">
      This job takes long to work out
    </h2>
    <p
      role="status"
      class="mb-4 max-w-prose border-l-4 border-amber-500 py-1 pl-3 text-[17px]"
    >
      It has {{ store.slow }}. The plan still comes, if you wait. Or take off what is not needed: the work begins anew with what is left, and undo brings it back.
    </p>
    <ul class="max-w-2xl">
      <li
        v-for="face in faces"
        :key="face.id"
        class="flex flex-wrap items-center justify-between gap-3 border-b border-dotted border-graphite-300 py-2"
      >
        <span class="text-[15px]"><b>{{ face.name }}</b>, {{ plural(face.obstructions.length, 'thing') }} on it</span>
        <span class="flex gap-2">
          <UButton
            v-if="face.obstructions.length"
            size="sm"
            color="neutral"
            variant="outline"
            label="Take these off"
            @click="clear(face.id)"
          />
          <UButton
            v-if="faces.length > 1"
            size="sm"
            color="neutral"
            variant="outline"
            label="Take the face away"
            @click="remove(face.id)"
          />
        </span>
      </li>
    </ul>
  </main>
</template>
