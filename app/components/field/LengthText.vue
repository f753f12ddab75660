<script setup lang="ts">
import { formatLength, type UnitSystem } from '#core/units'

/** A length with a real fraction; read aloud as plain text. */
const { mm, units } = defineProps<{ mm: number, units: UnitSystem }>()
const runs = computed(() => lengthRuns(mm, units))
</script>

<template>
  <span class="fraction"><span class="sr-only">{{ formatLength(mm, units) }}</span><span aria-hidden="true"><template
    v-for="(run, i) in runs"
    :key="i"
  ><span
    v-if="run.kind === 'over'"
    class="pl-[0.15em]"
  ><sup>{{ run.text }}</sup></span><sub v-else-if="run.kind === 'under'">{{ run.text }}</sub><template v-else>{{ run.text }}</template></template></span></span>
</template>
