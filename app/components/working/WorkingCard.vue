<script setup lang="ts">
import { formatQuantity, type UnitSystem } from '#core/units'
import type { Working } from '#core/working'

/** How one figure comes about; from a value that was itself worked out one goes on to its own working, and back. */
const { working, all, units } = defineProps<{ working: Working, /** Workings that values may lead to. */ all: Working[], units: UnitSystem }>()
const trail = shallowRef<Working[]>([])
watch(() => working.what, () => trail.value = [])
/** As it is worked out now: what lies on the trail was so when one came by. */
const shown = computed(() => {
  const last = trail.value.at(-1)
  return last ? all.find(one => one.what === last.what) ?? last : working
})
const next = (from: string | undefined) => from ? all.find(one => one.what === from && one.what !== shown.value.what) : undefined
const root = useTemplateRef('root')
async function go(to: Working[]) {
  trail.value = to
  await nextTick()
  root.value?.focus()
}
</script>

<template>
  <article
    ref="root"
    tabindex="-1"
    class="outline-none"
    :aria-label="shown.what"
  >
    <button
      v-if="trail.length"
      type="button"
      class="mb-1 text-[13px] font-semibold underline underline-offset-4"
      @click="go(trail.slice(0, -1))"
    >
      ‹ {{ (trail.at(-2) ?? working).what }}
    </button>
    <h3 class="leading-snug font-bold">
      {{ shown.what }}: {{ formatQuantity(shown.result, units) }}
    </h3>
    <p class="my-1 font-mono text-[14px] break-words">
      {{ shown.formula }}
    </p>
    <dl class="text-[15px]">
      <div
        v-for="value in shown.values"
        :key="value.symbol + value.what"
        class="grid grid-cols-[2.6rem_1fr_auto] items-baseline gap-2 border-b border-dotted border-graphite-300 py-0.5"
      >
        <dt class="font-mono text-sm">
          {{ value.symbol }}
        </dt>
        <dd class="leading-tight">
          {{ value.what }}
        </dd>
        <dd class="max-w-40 text-right font-semibold">
          <button
            v-if="next(value.from)"
            type="button"
            class="underline decoration-chalk-500 decoration-2 underline-offset-4 hover:text-chalk-600"
            :aria-label="`${formatQuantity(value.value, units)}: how it comes about`"
            @click="go([...trail, next(value.from)!])"
          >
            {{ formatQuantity(value.value, units) }}
          </button>
          <template v-else>
            {{ formatQuantity(value.value, units) }}
          </template>
        </dd>
      </div>
    </dl>
    <p class="mt-1 text-[13px] text-muted">
      {{ shown.source }} ({{ shown.basis }}).
    </p>
  </article>
</template>
