import { inBuildOrder, type Ask, type MarkStep, type StepMaker } from '../trade'
import { length } from '../units'
import type { WiringLayout } from './layout'
import { percent } from './words'

type Asked = Ask<WiringLayout>

const sideWords = { upper: 'On the upper rail', lower: 'On the lower rail', left: 'On the left rail', right: 'On the right rail', frame: 'On the module’s frame' } as const

/** A unit for every module, or where the leads of two or four reach, row by row; and what leaving the gap out would drift by. */
export function electronicsSteps({ face, plan }: Asked, make: StepMaker): MarkStep[] {
  const { wiring } = plan
  if (!wiring?.units.length) return []
  return inBuildOrder(face, plan.rows.rows).flatMap((row) => {
    const units = wiring.units.filter(unit => unit.row === row.index)
    if (!units.length) return []
    const sides = [...new Set(units.map(unit => unit.side))]
    const acrossRails = sides.every(side => side === 'left' || side === 'right')
    const oneLine = sides.length === 1 && !acrossRails && new Set(units.map(unit => Math.round(unit.place.at.y))).size === 1
    const drift = (row.count - 1) * plan.rows.columnGapMm
    return [make({
      id: `electronics-row${row.index + 1}`, kind: 'electronics', title: `Electronics, row ${row.index + 1}`, tape: 'along', lineMm: oneLine ? units[0]!.place.at.y : null,
      instruction: `${sides.map(side => sideWords[side]).join(' and ')}, its middle on each mark: not under a junction box, not across two modules. ${wiring.hung}. First edge an inch in at the least; then width and gap each time.`,
      marks: units.map((unit, i) => ({
        label: `Unit ${i + 1}`, key: unit.under, mm: unit.place.at.x, of: { kind: 'unit' as const, id: unit.id }, ...(oneLine ? {} : { upMm: unit.place.at.y }),
        note: [unit.modules.length > 1 ? `for ${unit.modules.length} modules` : '', unit.clear ? '' : 'nothing is free here: look', unit.slackIn ? `slack in the ${unit.slackIn} lead` : '', ...unit.short.map(one => `extension lead for ${one.moduleId}`)].filter(Boolean).join(', '),
      })),
      checks: row.count > 1 ? [{ label: 'Stepped by the width alone, the last one is off by', value: length(drift), note: 'step width and gap' }] : [],
    })]
  })
}

/** Where cables begin and how they run on this face: trunks, then strings. */
export function trunkSteps({ plan }: Asked, make: StepMaker): MarkStep[] {
  const { wiring } = plan
  if (!wiring?.circuits.length) return []
  return wiring.circuits.map(circuit => circuit.kind === 'branch'
    ? make({
        id: `trunk-${circuit.number}`, kind: 'trunk', title: `Trunk, branch ${circuit.number}`, tape: 'along', lineMm: null,
        instruction: `Clip the trunk under the units, off the roof, slack looped at each drop. Push each plug until it clicks. Cap every unused drop with the maker’s cap and close the end with its terminator: never with silicone.`,
        marks: startOf(circuit.number, circuit.units[circuit.feedAt]?.place.at, 'Home run begins', circuit.home.faceId, plan.faceId),
        checks: [
          ...circuit.trunk ? circuit.trunk.hops.map((hop, i) => ({ label: `Unit ${i + 1} to ${i + 2}`, value: length(hop.mm), note: hop.jumperMm ? 'jointed, to another row' : hop.unused ? `${hop.unused} drop${hop.unused > 1 ? 's' : ''} capped` : '' })) : [],
          { label: 'Home run to the roof box', value: length(circuit.home.mm), note: `${circuit.home.size}; volts lost in all ${percent(circuit.drop.share)}` },
        ],
      })
    : make({
        id: `string-${circuit.number}`, kind: 'trunk', title: `String ${circuit.number}`, tape: 'along', lineMm: null,
        instruction: `Join module to module in this order, + into −, each plug pushed until it clicks: ${circuit.modules.map(one => one.id.replace('row', '')).join(' → ')}. Both home runs through one notch. The far end stays open until the string has been tested; never test insulation through connected electronics.`,
        marks: [...startOf(circuit.number, circuit.modules[0]!.plus.at, '+ end', circuit.plus.faceId, plan.faceId), ...startOf(circuit.number, circuit.modules.at(-1)!.minus.at, '− end', circuit.minus.faceId, plan.faceId)],
        checks: [{ label: 'Home run of +', value: length(circuit.plus.mm), note: circuit.plus.size }, { label: 'Home run of −', value: length(circuit.minus.mm), note: circuit.minus.size }],
      }))
}

const startOf = (number: number, at: { x: number, y: number } | undefined, label: string, faceId: string, own: string) =>
  at && faceId === own ? [{ label, key: `${label} ${number}`, mm: at.x, upMm: at.y, of: { kind: 'circuit' as const, id: String(number) } }] : []
