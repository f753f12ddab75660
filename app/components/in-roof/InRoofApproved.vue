<script setup lang="ts">
/** Modules that were tested with this system since, or give more: what each would change on this job, to be taken or left. */
const { job, facePlan, catalogue, commit } = useFace()
const readsOnly = useReadsOnly()
const { found, failed } = useAnswered(async faceId => (await usePlanner().betterModules(job.value, catalogue.value)).filter(one => one.faceId === faceId))
</script>

<template>
  <div class="max-w-prose">
    <p class="py-1.5 text-sm text-muted">
      {{ facePlan.parts.module.name }} on {{ facePlan.inRoof?.system.name }} now. A tray or frame and its module are one covering: only what was tested together is offered.
    </p>
    <p
      v-if="failed"
      role="alert"
    >
      They could not be planned with. Nothing was changed; change to another tab and back to try again.
    </p>
    <p v-else-if="!found">
      Planning with each…
    </p>
    <p v-else-if="!found.length">
      Nothing on the shelf was approved later, or gives more, than the module this face has.
    </p>
    <section
      v-for="one in found ?? []"
      :key="one.module"
      class="border-t-2 border-graphite-900 py-3"
    >
      <div class="flex items-start justify-between gap-3">
        <h3 class="text-lg font-semibold">
          {{ one.module }}<span class="block text-sm font-normal text-muted">{{ one.approval }}</span>
        </h3>
        <UButton
          color="neutral"
          label="Take it"
          :disabled="readsOnly"
          @click="commit(one.edit)"
        />
      </div>
      <ul class="mt-1 list-disc pl-5">
        <li
          v-for="change in one.changes"
          :key="change"
        >
          {{ change }}
        </li>
        <li v-if="!one.changes.length">
          Nothing that is counted changes.
        </li>
      </ul>
      <p
        v-for="stop in one.newStops"
        :key="stop"
        class="mt-1 border-l-4 border-brick-500 pl-3 text-[15px]"
      >
        {{ stop }}
      </p>
    </section>
  </div>
</template>
