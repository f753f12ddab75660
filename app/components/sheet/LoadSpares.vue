<script setup lang="ts">
import type { PartKind } from '#core/catalogue'
import type { Job, Spare } from '#core/job'
import { type Loadout, spareRule } from '#core/sheets/loadout'
import { done, refused } from '#core/outcome'

/** The rule for the spares of each part: a share, pieces on top, or both. */
const { job, loadout } = defineProps<{ job: Job, loadout: Loadout }>()
const store = useJobStore()
const kinds = computed(() => {
  const shown = new Map<PartKind, string>()
  for (const line of loadout.lines) if (line.kind !== 'tool' && !line.fromYard && !shown.has(line.kind)) shown.set(line.kind, line.name)
  return [...shown].map(([kind, name]) => ({
    kind,
    name,
    rule: spareRule(kind, job.loadout),
    own: job.loadout.spares.some(one => one.kind === kind),
    total: loadout.lines.filter(line => line.kind === kind).reduce((sum, line) => sum + line.spares, 0),
  }))
})
const write = ({ percent, pieces }: Spare) => [percent ? `${percent} %` : '', pieces ? String(pieces) : ''].filter(Boolean).join(' + ') || '0'

/** Reads `5 %`, `2`, or `5 % + 2`; nothing puts the usual rule back. */
function setRule(kind: PartKind, text: string) {
  const others = job.loadout.spares.filter(one => one.kind !== kind)
  if (!text.trim()) return store.commit(loadoutEdit({ spares: others }))
  const parts = text.split('+').map(part => part.trim())
  const spare: Spare = { kind, percent: 0, pieces: 0 }
  for (const part of parts) {
    const percent = /^(\d+(?:\.\d+)?) ?%$/.exec(part)
    const pieces = /^(\d+)$/.exec(part)
    if (percent) spare.percent = Number(percent[1])
    else if (pieces) spare.pieces = Number(pieces[1])
    else return refused(`“${text.trim()}” is no rule for spares. Write for example 5 %, 2, or 5 % + 2.`)
  }
  return spare.percent === spareRule(kind, job.loadout).percent && spare.pieces === spareRule(kind, job.loadout).pieces
    ? done(true)
    : store.commit(loadoutEdit({ spares: [
        ...others,
        spare,
      ] }))
}
</script>

<template>
  <p class="mb-2 text-[15px] text-muted">
    A share of what is needed, rounded up; whole pieces; or both, as 5 % + 2. An emptied field puts back what is usual.
  </p>
  <div class="max-w-xl">
    <FieldTypedField
      v-for="one in kinds"
      :key="one.kind"
      :label="one.name"
      :hint="`${one.own ? 'typed' : 'usual'}: ${one.total} spare`"
      :shown="write(one.rule)"
      :commit="text => setRule(one.kind, text)"
    />
  </div>
</template>
