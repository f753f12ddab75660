<script setup lang="ts">
import { type EdgeKind, type Reserved, ruleSetTable, type Setbacks, type Side } from '#core/job'
import { shapeOf } from '#core/roof'

/** What is asked of this face besides the roof's rules: setbacks by edge, a wind strip, reserved parts, a wish. */
const { job, face, facePlan, units, commit } = useFace()
const set = (values: Parameters<typeof faceEdit>[1]) => commit(faceEdit(face.value.id, values))
const typed = computed(() => job.value.keepClear.ruleSet === 'plain' || job.value.keepClear.ruleSet === 'own')
/** Every setback that an edge of this face keeps, top first. */
const all: { key: keyof Setbacks, label: string, of: (edge: { kind: EdgeKind, side: Side | null }) => boolean }[] = [
  { key: 'ridgeMm', label: 'Below the ridge', of: edge => edge.kind === 'ridge' },
  { key: 'hipMm', label: 'From a hip', of: edge => edge.kind === 'hip' },
  { key: 'valleyMm', label: 'From a valley', of: edge => edge.kind === 'valley' },
  { key: 'wallMm', label: 'From a wall', of: edge => edge.kind === 'wall' },
  { key: 'leftRakeMm', label: 'From the left rake', of: edge => edge.kind === 'rake' && edge.side !== 'right' },
  { key: 'rightRakeMm', label: 'From the right rake', of: edge => edge.kind === 'rake' && edge.side === 'right' },
  { key: 'eaveMm', label: 'Above the eave', of: edge => edge.kind === 'eave' },
]
const edges = computed(() => all.filter(one => facePlan.value.shape.edges.some(one.of)))
const change = (i: number, values: Partial<Reserved>) => set({ reserved: face.value.reserved.map((one, k) => k === i ? { ...one, ...values } : one) })
function reserve() {
  const { along, up } = shapeOf(face.value.outline)
  const [x, y] = [(along.fromMm + along.toMm) / 2, (up.fromMm + up.toMm) / 2]
  set({ reserved: [...face.value.reserved, { name: `part ${face.value.reserved.length + 1}`, fromXMm: x - 500, toXMm: x + 500, fromYMm: y - 500, toYMm: y + 500 }] })
}
</script>

<template>
  <template v-if="typed">
    <h2 class="slip-title">
      Setbacks of this face
    </h2>
    <FieldLengthField
      v-for="edge in edges"
      :key="edge.key"
      :label="edge.label"
      :mm="face.setbacks[edge.key]"
      :units="units"
      :commit="mm => set({ setbacks: { ...face.setbacks, [edge.key]: mm! } })"
    />
  </template>
  <p
    v-else
    class="text-sm text-muted"
  >
    Typed setbacks rest while “{{ ruleSetTable[job.keepClear.ruleSet].name }}” is in force.
  </p>
  <FieldLengthField
    label="Wind strip"
    hint="along every edge of this face"
    :mm="face.windStripMm"
    :units="units"
    :commit="mm => set({ windStripMm: mm! })"
  />
  <FieldLengthField
    label="Lower edge within"
    hint="of the eave: a wish; empty for none"
    :mm="face.lowEdgeMm"
    :units="units"
    optional
    :commit="mm => set({ lowEdgeMm: mm })"
  />
  <h2 class="slip-title mt-4">
    Reserved parts
  </h2>
  <section
    v-for="(one, i) in face.reserved"
    :key="i"
    class="mb-2 border-l-4 border-graphite-300 pl-2"
    :aria-label="`Reserved part ${i + 1}`"
  >
    <FieldTypedField
      label="For"
      wide
      :shown="one.name"
      :commit="text => change(i, { name: text })"
    />
    <FieldLengthField
      v-for="edge in ([['fromXMm', 'Left edge'], ['toXMm', 'Right edge'], ['fromYMm', 'Lower edge'], ['toYMm', 'Upper edge']] as const)"
      :key="edge[0]"
      :label="edge[1]"
      :mm="one[edge[0]]"
      :units="units"
      :commit="mm => change(i, { [edge[0]]: mm! })"
    />
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      label="Take it away"
      @click="set({ reserved: face.reserved.filter((_, k) => k !== i) })"
    />
  </section>
  <UButton
    size="sm"
    color="neutral"
    variant="outline"
    label="Reserve a part"
    @click="reserve"
  />
</template>
