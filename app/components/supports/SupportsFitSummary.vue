<script setup lang="ts">
/** What the fit makes of the hit log, in a few figures. */
const { facePlan, units } = useFace()
const fit = computed(() => facePlan.value.supports.fit)
const used = computed(() => fit.value?.checks.filter(check => !check.outlier).length ?? 0)
</script>

<template>
  <dl
    v-if="fit"
    class="mt-2"
    data-testid="fit"
  >
    <SlipLine
      label="Hits that fit"
      working="Hits that fit"
      :bad="used < fit.checks.length"
    >
      {{ used }} of {{ fit.checks.length }}
    </SlipLine>
    <SlipLine
      v-if="fit.spacing"
      label="Fitted spacing"
      working="Fitted spacing"
    >
      <FieldLengthText
        :mm="fit.spacing.mm"
        :units="units"
      /> <span class="text-[13px] font-normal text-muted">± <FieldLengthText
        :mm="2 * fit.spacing.seMm"
        :units="units"
      /></span>
    </SlipLine>
    <SlipLine
      v-if="fit.lean"
      label="Lean, in each metre up"
      working="Lean of the rafters"
    >
      <template v-if="fit.lean.skewed">
        <FieldLengthText
          :mm="Math.abs(fit.lean.perMm) * 1000"
          :units="units"
        /> {{ fit.lean.perMm > 0 ? 'right' : 'left' }}
      </template>
      <template v-else>
        none shown
      </template>
    </SlipLine>
    <SlipLine
      v-if="fit.kind === 'irregular'"
      label="Rafters hit"
      working="Rafters hit"
    >
      {{ fit.rafters.length }}, nothing assumed between
    </SlipLine>
  </dl>
</template>
