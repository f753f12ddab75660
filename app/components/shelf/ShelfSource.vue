<script setup lang="ts">
import { type Source, type SourceKind, sourceKinds, sourceNames } from '#core/catalogue'
import { done } from '#core/outcome'

/** Who answers for figures: the maker, a measurement, somebody's memory; the document, and the day. */
const { source, label = 'The figures are' } = defineProps<{ source: Partial<Source>, label?: string }>()
const emit = defineEmits<{ change: [source: Partial<Source>] }>()
const choices = sourceKinds.map(value => ({ value, label: sourceNames[value] }))
const hints: Record<SourceKind, string> = { 'maker': 'data sheet, manual or letter', 'measured': 'how, and by whom', 'from-memory': 'who remembers', 'invented': 'what for' }
function put(values: Partial<Source>) {
  emit('change', { ...source, ...values })
  return done(true)
}
</script>

<template>
  <FieldChoiceField
    :label="label"
    :value="(source.by ?? '') as SourceKind"
    :choices="choices"
    @choose="put({ by: $event })"
  />
  <FieldTypedField
    label="Document"
    :hint="source.by ? hints[source.by] : 'or how it was measured'"
    :shown="source.note ?? ''"
    wide
    :commit="note => put({ note: note.trim() })"
  />
  <FieldTypedField
    label="Date"
    hint="year-month-day"
    :shown="source.on ?? ''"
    :commit="on => put({ on: on.trim() })"
  />
</template>
