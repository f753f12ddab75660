import type { PartKind } from '../catalogue'
import type { StrengthLayout } from '../strength'
import type { FaceSays, JobSays, PartDraft } from '../trade'
import { electronicsSteps, trunkSteps } from './marks'

/** Cable clips to a module (common practice). */
const TIES_PER_MODULE = 3
/** Trunk cable from the array's corner to the roof box, mm (common practice; the real route comes with the wiring). */
const TO_ROOF_BOX_MM = 3000

/** A small part that goes with any make. */
const any = (kind: PartKind, name: string, amount: number, rule: string): PartDraft[] => [{
  kind,
  item: null,
  name,
  maker: '',
  stage: 'wiring',
  amount,
  massKg: 'by shelf',
  price: 'by shelf',
  rule,
}]
const carrying = ({ rows }: StrengthLayout) => rows.rows.filter(row => row.count > 0)

/** Along each row from the first unit to the last, over the gaps between its runs; then up to the next row. */
function trunkMm(plan: StrengthLayout): number {
  const rows = carrying(plan)
  const alongMm = rows.reduce((sum, row) => sum + row.moduleLeftsMm.at(-1)! - row.moduleLeftsMm[0]!, 0)
  const betweenMm = rows.slice(1).reduce((sum, row, i) => sum + row.bottomMm - rows[i]!.bottomMm, 0)
  return rows.length ? alongMm + betweenMm + TO_ROOF_BOX_MM : 0
}

/** One unit a module, one trunk a face (common practice), one lug where nothing else joins the metal. */
export const wiring = {
  marks: { electronics: electronicsSteps, trunk: trunkSteps },
  parts: {
    'lug': ({ plan: { rails, rows } }) => {
      const upSlope = rails[0]?.way === 'up'
      return any('lug', 'Grounding lug', upSlope ? rails.length / 2 : rows.rows.flatMap(row => row.blocks).length, upSlope ? 'One a column: nothing else joins them' : 'One a row, or a run of it')
    },
    'electronics': ({ plan }) => any('electronics', 'Module electronics unit', plan.modules, 'One a module'),
    'cable': ({ plan }) => any('cable', 'Trunk cable', trunkMm(plan), 'From unit to unit, row to row and 3 m to the roof box, whole reels over the job'),
    'cable-tie': ({ plan }) => any('cable-tie', 'Cable clip', plan.modules * TIES_PER_MODULE, `${TIES_PER_MODULE} a module (common practice)`),
    'outlet-cap': ({ plan }) => any('outlet-cap', 'Outlet cap', carrying(plan).reduce((sum, row) => sum + row.blocks.length - 1, 0), 'One at each outlet that a gap in a row leaves unused'),
    'terminator': ({ plan }) => any('terminator', 'Cable terminator', plan.modules ? 1 : 0, 'One at the end of each face’s trunk'),
  },
} satisfies FaceSays<StrengthLayout>

export const wiringOfJob = {
  parts: { label: ({ faces }) => faces.some(({ plan }) => plan.modules)
    ? [{
        kind: 'label',
        item: null,
        name: 'Label set for one system',
        maker: '',
        stage: 'finish',
        amount: 1,
        massKg: 'by shelf',
        price: 'by shelf',
        rule: 'One a system',
      }]
    : [] },
  tools: () => ['Voltmeter for string tests', 'Serial map and pen'],
} satisfies JobSays<StrengthLayout>
