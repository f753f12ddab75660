<script setup lang="ts">
import { type Catalogue, type Shelf, sourceOf, sourceText, type Shelved, type Source } from '#core/catalogue'
import { done, type Outcome } from '#core/outcome'
import { dimensions, isMeasured, type PlacedFigure, readCell, showFigure } from '#core/shelf'
import type { UnitSystem } from '#core/units'

/** One figure of a part: typed or chosen, what is wrong with it below, and where it comes from where that is its own. */
const { one, value, catalogue, units, part, problem, bySource } = defineProps<{
  one: PlacedFigure
  value: unknown
  catalogue: Catalogue
  units: UnitSystem
  /** Whose figure it is. */
  part: Pick<Shelved, 'source' | 'figureSources'>
  problem: string
  /** Whether figures are asked for sources of their own. */
  bySource: boolean
}>()
const emit = defineEmits<{ change: [value: unknown], source: [source: Partial<Source> | null] }>()

const figure = computed(() => one.figure)
const label = computed(() => one.group.rows ? `${figure.value.label[0]!.toUpperCase()}${figure.value.label.slice(1)}` : figure.value.label)
const shown = computed(() => figure.value.is === 'price' && typeof value === 'number' ? String(value) : showFigure(figure.value, value, catalogue, units))
const hint = computed(() => [figure.value.hint, figure.value.is === 'price' ? catalogue.currency : ''].filter(Boolean).join(', ') || undefined)
const wide = computed(() => ['text', 'texts', 'lengths'].includes(figure.value.is))
function take(text: string): Outcome<unknown> {
  if (!text.trim()) {
    emit('change', figure.value.is === 'texts' ? [] : figure.value.is === 'text' && !figure.value.optional ? '' : null)
    return done(true)
  }
  const unit = isMeasured(figure.value) ? dimensions[figure.value.is].shown[units] : figure.value.is === 'lengths' ? dimensions.length.shown[units] : null
  const read = readCell(figure.value, text, unit, catalogue)
  if (read.ok) emit('change', read.value)
  return read
}

const chosen = computed(() => Array.isArray(value) ? value as string[] : [])
const pick = (key: string, on: boolean) => emit('change', on ? [...chosen.value, key] : chosen.value.filter(other => other !== key))
const shelvesOf = (on: Shelf | 'any'): Shelf[] => on === 'any' ? one.path === 'withId' ? ['mounts', 'clamps'] : ['modules', 'rails', 'mounts', 'clamps'] : [on]
const named = computed(() => {
  if (figure.value.is !== 'part' && figure.value.is !== 'parts') return []
  const held = Array.isArray(value) ? value as string[] : [value as string]
  // A set says which small part is taken where several would do: those of one item are taken with it.
  const free = (item: { forId?: string | null }) => figure.value.is !== 'parts' || !item.forId
  const items = shelvesOf(figure.value.on).flatMap(shelf => catalogue[shelf] as { id: string, name: string, retired: boolean, forId?: string | null }[]).filter(item => (!item.retired && free(item)) || held.includes(item.id))
  return items.map(item => ({ value: item.id, label: item.retired ? `${item.name} (retired)` : item.name }))
})
const listed = computed(() => figure.value.is === 'part' && figure.value.optional ? [{ value: '-', label: 'Goes with any' }, ...named.value] : named.value)

const own = computed(() => part.figureSources[one.path] ?? null)
const asks = ref(false)
const told = computed(() => own.value ? sourceText(sourceOf(part, one.path)) : '')
</script>

<template>
  <div class="relative">
    <FieldChoiceField
      v-if="figure.is === 'choice'"
      :label="label"
      :value="(value ?? '') as string"
      :choices="Object.entries(figure.choices).map(([key, text]) => ({ value: key, label: text }))"
      @choose="emit('change', $event)"
    />
    <FieldYesNoField
      v-else-if="figure.is === 'flag' && typeof value === 'boolean'"
      :label="label"
      :value="value"
      :yes="figure.yes"
      :no="figure.no"
      @choose="emit('change', $event)"
    />
    <FieldChoiceField
      v-else-if="figure.is === 'flag'"
      :label="label"
      value=""
      :choices="[{ value: 'no', label: figure.no }, { value: 'yes', label: figure.yes }]"
      @choose="emit('change', $event === 'yes')"
    />
    <FieldChoiceField
      v-else-if="figure.is === 'part'"
      :label="label"
      :value="((value as string | null) ?? (figure.optional ? '-' : '')) as string"
      :choices="listed"
      @choose="emit('change', $event === '-' ? null : $event)"
    />
    <fieldset
      v-else-if="figure.is === 'choices' || figure.is === 'parts'"
      class="border-b border-dotted border-graphite-300 py-1.5"
    >
      <legend class="text-[13px] text-muted">
        {{ label }}{{ hint ? `, ${hint}` : '' }}
      </legend>
      <UCheckbox
        v-for="choice in figure.is === 'choices' ? Object.entries(figure.choices).map(([key, text]) => ({ value: key, label: text })) : named"
        :key="choice.value"
        :label="choice.label"
        :model-value="chosen.includes(choice.value)"
        class="py-0.5"
        @update:model-value="pick(choice.value, $event === true)"
      />
    </fieldset>
    <FieldTypedField
      v-else
      :label="label"
      :hint="hint"
      :shown="shown"
      :wide="wide"
      :commit="take"
    />
    <p
      v-if="problem"
      role="alert"
      class="mt-0.5 mb-1 text-sm font-medium text-brick-600"
    >
      {{ problem }}
    </p>
    <div
      v-if="bySource || own"
      class="flex items-baseline justify-between gap-3 text-[13px] text-muted"
    >
      <span>{{ told }}</span>
      <button
        type="button"
        class="shrink-0 underline decoration-dotted underline-offset-2 hover:text-graphite-900"
        :aria-expanded="asks"
        :aria-label="`Source of ${one.label}`"
        @click="asks = !asks"
      >
        {{ own ? 'source' : 'another source' }}
      </button>
    </div>
    <div
      v-if="asks"
      class="mb-2 border-l-2 border-chalk-300 pl-3"
    >
      <ShelfSource
        :source="own ?? { on: today() }"
        label="This figure is"
        @change="emit('source', $event)"
      />
      <UButton
        v-if="own"
        size="xs"
        color="neutral"
        variant="link"
        label="As the other figures"
        @click="emit('source', null)"
      />
    </div>
  </div>
</template>
