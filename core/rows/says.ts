import type { FaceSays, JobSays } from '../trade'
import { lowEdgeMissed, noRoom, rowsWait, tooHigh, tooWide } from './findings'
import type { RowsLayout } from './layout'
import { firstRowSteps, moduleSteps, rowSteps, squareSteps } from './marks'
import { partsApart, retiredParts } from './mismatches'
import { heldBack, type RoofRowsAsk, wantedShort } from './wanted'
import { rowsShown } from './shown'

/** Rows of modules: whether they fit, the lines they are struck by, and the modules themselves. */
export const rows = {
  ...rowsShown,
  findings: { 'parts': partsApart, 'retired-parts': retiredParts, 'low-edge': lowEdgeMissed, 'no-room': noRoom, 'rows-wait': rowsWait, 'row-high': tooHigh, 'row-wide': tooWide, 'rows-limited': heldBack },
  marks: { 'square': squareSteps, 'first-row': firstRowSteps, 'rows': rowSteps, 'modules': moduleSteps },
  parts: {
    module: ({ plan: { parts: { module }, modules: count } }) => [{
      kind: 'module', item: {
        shelf: 'modules',
        id: module.id,
      }, name: module.name, maker: module.maker, stage: 'modules', amount: count, massKg: module.massKg, price: 'by shelf', rule: 'Every module in every row',
    }],
  },
} satisfies FaceSays<RowsLayout>

export const rowsOfRoof = { findings: { 'wanted-short': wantedShort } } satisfies JobSays<RowsLayout, RoofRowsAsk>
