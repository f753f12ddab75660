import { inRoofWorkings } from '../inroof'
import { type Face, type Job, loadEditionNames } from '../job'
import type { FacePlan, Plan } from '../plan'
import { capacityWorkings, type CheckShare, checkWords, type HoldKind, lineWorkings, railWorkings, supportSums } from '../strength'
import { readingOn } from '../roof'
import { force, formatLength, formatQuantity, formatShare, share, words } from '../units'
import type { Working } from '../working'

/** A part of the calculation sheet: workings, or a small table. */
export interface CalculationSection { title: string, workings: Working[], table: { head: string[], rows: string[][] } | null }

export interface CalculationSheet {
  title: string
  place: string
  /** What a reader must know before any figure. */
  cautions: string[]
  sections: CalculationSection[]
}

const section = (title: string, workings: Working[], table: CalculationSection['table'] = null): CalculationSection => ({ title, workings, table })

/** Every check of a job with clause, formula, values and result, as plain data to be printed. */
export function calculationSheet(job: Job, plan: Plan): CalculationSheet {
  const { engineer, rules } = job.loads
  return {
    title: job.title, place: job.place,
    cautions: [
      ...(engineer.asked ? [engineer.name ? `The structure rests on the work of ${engineer.name}.` : 'A licensed engineer is asked for and not named yet: fix nothing by this sheet.'] : []),
      `Rules: ${loadEditionNames[rules.edition]}. Values marked “from memory” were not checked against the document. The code in force, the makers’ instructions and a licensed engineer come before this sheet.`,
      ...plan.findings.filter(finding => (finding.stage === 'rails' || finding.kind.startsWith('inroof-')) && finding.severity !== 'note').map(finding => `${finding.severity === 'stop' ? 'Stop' : 'Caution'}: ${finding.sentence}`),
    ],
    sections: plan.faces.flatMap((face, i) => face.inRoof?.parts.length ? inRoofSections(job, job.faces[i]!, face) : face.rails.length ? faceSections(job, job.faces[i]!.name, face) : []),
  }
}

const combinationTable = ({ strength, service, source }: NonNullable<FacePlan['loading']['loads']>['combinations']): CalculationSection['table'] => ({ head: ['For', 'Combination', 'Source'], rows: [...strength.map(one => ['strength', one.name, source]), ...service.map(one => ['deflection', one.name, source])] })

/** An array that is the covering: what loads it, and what holds it. */
function inRoofSections(job: Job, face: Face, plan: FacePlan): CalculationSection[] {
  const { loads } = plan.loading
  const battens = plan.inRoof!.battens?.steps ?? []
  const say = (mm: number) => formatLength(mm, job.units)
  return [
    ...loads ? [section(`${face.name}: loads`, loads.workings), section(`${face.name}: combinations`, [], combinationTable(loads.combinations))] : [],
    section(`${face.name}: the array in the roof`, inRoofWorkings({ job, face, plan })),
    section(`${face.name}: battens`, [], { head: ['Batten', 'What is done', 'Upper edge', 'Long'], rows: battens.map((one, i) => [String(i + 1), { keep: 'stays', add: 'added', move: 'moved', cut: 'cut out' }[one.act], say(readingOn(face, 'up', one.upperMm)), say(one.toMm - one.fromMm)]) }),
  ]
}

function faceSections(job: Job, name: string, face: FacePlan): CalculationSection[] {
  const { strength, loading } = face
  const general = [face.limits.spanWorking, face.limits.overhangWorking]
  if (!strength || !loading.loads) return [section(`${name}: spans`, general)]
  return [
    section(`${name}: loads`, loading.loads.workings),
    section(`${name}: combinations`, [], combinationTable(strength.loads.combinations)),
    section(`${name}: what rails and fixings bear`, [...general, ...capacityWorkings(strength, face.parts)]),
    ...face.rails.flatMap((rail, r): CalculationSection[] => {
      const use = face.uses[r]
      if (!use) return []
      const { fixings, working } = face.fixings.rails[r]!
      return [section(`${name}: rail ${rail.number}`, [rail.working, ...lineWorkings(strength, r), working, ...railWorkings(use, strength, r, face.parts), ...holdWorkings(face.holds[r] ?? {})], {
        head: ['Fixing on', 'Up', 'Down', 'Down the slope', 'Used'],
        rows: use.fixings.map((duty, f) => [fixings[f]!.member, ...[duty.upN, duty.downN, duty.slopeN].map(n => formatQuantity(force(n), job.units)), formatShare(duty.worst)]),
      })]
    }),
    section(`${name}: sums by support`, [], { head: ['Support', 'Fixings', 'Up', 'Down'], rows: supportSums(face.uses.flatMap((use, r) => use
      ? use.fixings.map((duty, f) => ({
          duty,
          member: face.fixings.rails[r]!.fixings[f]!.member,
        }))
      : []))
      .map(sum => [sum.member, String(sum.fixings), formatQuantity(force(sum.upN), job.units), formatQuantity(force(sum.downN), job.units)]) }),
    ...(face.sticks.sticks.length ? [section(`${name}: sticks`, [face.sticks.working])] : []),
  ]
}

const holdWorkings = (holds: Partial<Record<HoldKind, CheckShare>>): Working[] => (Object.entries(holds) as [HoldKind, CheckShare][]).map(([kind, one]) => ({
  what: `${checkWords[kind].name[0]!.toUpperCase()}${checkWords[kind].name.slice(1)}`, formula: 'E ≤ R', values: [
    { symbol: 'E', what: 'what it comes to', value: checkWords[kind].of(one.value) }, { symbol: 'R', what: 'what is allowed', value: checkWords[kind].of(one.limit) },
    { symbol: '', what: 'combination', value: words(one.combination) },
  ], result: share(one.share), source: kind.startsWith('module') ? 'The module maker’s declared pressure where the rail holds it (IEC 61215, from memory)' : 'The clamp maker’s value', basis: 'maker',
}))
