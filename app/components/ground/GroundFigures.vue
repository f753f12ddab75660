<script setup lang="ts">
import { figureIds, sourceOf } from '#core/electrical'
import { formatLength } from '#core/units'

/** The code's figures, each with its clause, to be typed over by the electrician who answers for it. */
const { ground, grid, units, commit } = useGrid()
const figures = computed(() => figureIds.map(id => ({ id, figure: grid.value!.rules.figures[id] })))
const unitOf: Record<string, string> = { current: ' A', voltage: ' V', mass: ' kg', force: ' N', degrees: '°', energy: ' kWh', power: ' W', factor: '' }
const shown = ({ unit, value }: { unit: string, value: number }) => unit === 'length' ? formatLength(value, units.value) : unit === 'share' ? `${Math.round(1000 * value) / 10} %` : `${value}${unitOf[unit] ?? ''}`
const who = computed(() => [ground.value!.electrician.name, ground.value!.electrician.licence].filter(Boolean).join(', '))
const typed = (id: typeof figureIds[number], value: number | null) => commit({ type: 'type-figure', figureId: id, figure: value === null ? null : { value, by: who.value || 'nobody named' } })
const plainOf = (unit: string) => unit === 'share' ? '%' : (unitOf[unit] ?? '').trim()
</script>

<template>
  <details class="mt-5">
    <summary class="slip-title cursor-pointer">
      Figures of the code
    </summary>
    <p class="text-sm text-muted">
      Typed over by the electrician named above. Empty lets the code’s own stand.
    </p>
    <template
      v-for="{ id, figure } in figures"
      :key="id"
    >
      <FieldLengthField
        v-if="figure.unit === 'length'"
        :label="figure.name"
        :hint="sourceOf(figure)"
        optional
        :mm="figure.value"
        :units="units"
        :commit="mm => typed(id, mm)"
      />
      <FieldTypedField
        v-else
        :label="figure.name"
        :hint="sourceOf(figure)"
        :shown="shown(figure)"
        :commit="takeFigure(n => typed(id, n === null ? null : figure.unit === 'share' ? n / 100 : n), plainOf(figure.unit))"
      />
    </template>
  </details>
</template>
