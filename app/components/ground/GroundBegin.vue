<script setup lang="ts">
/** Nothing stands between roof and grid yet: what comes down, and the ways to begin with. */
const { plan, begin, ways } = useGrid()
const readsOnly = useReadsOnly()
const circuits = computed(() => plan.value.wiring.circuits.length)
</script>

<template>
  <div class="max-w-prose p-4 text-lg leading-snug">
    <p v-if="!circuits">
      Nothing comes down from the roof yet. Choose on the Wiring rung how modules are wired; then boxes, runs and the connection follow here.
    </p>
    <template v-else>
      <p>
        {{ circuits === 1 ? 'One circuit comes' : `${circuits} circuits come` }} down to the roof box. How does it reach the grid? Each way begins at usual sizes, with every box, run, rule and label worked out: type over what you measure.
      </p>
      <div
        v-if="!readsOnly"
        class="mt-4 flex flex-col items-start gap-2"
      >
        <UButton
          v-for="(way, i) in ways"
          :key="way.id"
          :label="way.label"
          size="lg"
          :color="i ? 'neutral' : 'primary'"
          :variant="i ? 'outline' : 'solid'"
          @click="begin(way.id)"
        />
      </div>
      <p class="mt-4 border-l-4 border-amber-500 pl-3 text-[15px]">
        Electrical work is for licensed people. The authority, the utility and the makers come before this page.
      </p>
    </template>
  </div>
</template>
