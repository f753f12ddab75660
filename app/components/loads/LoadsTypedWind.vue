<script setup lang="ts">
import type { TypedWind } from '#core/job'
import { done } from '#core/outcome'
import type { UnitSystem } from '#core/units'

/** An engineer's wind pressures, taken as one once all of them are here: none has a usual value. */
const { units } = defineProps<{ units: UnitSystem }>()
const emit = defineEmits<{ take: [wind: TypedWind] }>()

const zones = [['interior', 'Inside'], ['edge', 'Along edges'], ['corner', 'In corners']] as const
const ways = [['upPa', 'up'], ['downPa', 'down']] as const
const typed = reactive<Record<string, number | null>>({})
const by = ref('')
const at = (zone: string, way: string) => `${zone} ${way}`
function put(key: string, value: number | null) {
  typed[key] = value
  takeWhenWhole()
  return done(true)
}
function putBy(text: string) {
  by.value = text.trim()
  takeWhenWhole()
  return done(true)
}
const missing = computed(() => [
  ...(by.value ? [] : ['by whom']), ...(typed.edge === undefined || typed.edge === null ? ['the edge zone'] : []),
  ...zones.flatMap(([zone, name]) => ways.flatMap(([way, word]) => typeof typed[at(zone, way)] === 'number' ? [] : [`${name.toLowerCase()} ${word}`])),
])
function takeWhenWhole() {
  if (missing.value.length) return
  const of = (zone: string) => ({ upPa: typed[at(zone, 'upPa')]!, downPa: typed[at(zone, 'downPa')]! })
  emit('take', { kind: 'typed', by: by.value, edgeMm: typed.edge!, interior: of('interior'), edge: of('edge'), corner: of('corner') })
}
</script>

<template>
  <p class="mt-1 text-[13px] text-muted">
    An engineer’s pressures, all of them: {{ missing.length }} of 8 to come.
  </p>
  <FieldTypedField
    label="By whom"
    :shown="by"
    wide
    :commit="putBy"
  />
  <FieldLengthField
    label="Edge zone"
    hint="width in plan"
    :mm="typed.edge ?? null"
    :units="units"
    :commit="mm => put('edge', mm)"
  />
  <template
    v-for="[zone, name] in zones"
    :key="zone"
  >
    <FieldMeasureField
      v-for="[way, word] in ways"
      :key="way"
      :label="`${name}, ${word}`"
      :value="typed[at(zone, way)] ?? null"
      measure="pressure"
      :units="units"
      :commit="pa => put(at(zone, way), pa)"
    />
  </template>
</template>
