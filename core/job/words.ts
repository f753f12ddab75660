import { type Edit, touches } from './edit'

/** What a fact is called when a person is told that it changed. */
const factWords: Record<string, string> = {
  title: 'the job’s name', place: 'the place', units: 'the units',
  name: 'the face’s name', outline: 'the face’s size', pitchDeg: 'the pitch', covering: 'the covering', supports: 'what it is fixed to', setbacks: 'the setbacks', datum: 'the datum corner', obstructions: 'what stands on the face',
  moduleId: 'the module', railId: 'the rail', mountId: 'the mount', clampsId: 'the clamps',
  columnGapMm: 'the gap between columns', rowGapMm: 'the gap between rows', rowCount: 'the number of rows', shiftMm: 'the place along the eave',
  fixingPattern: 'the fixing pattern', allowedSpanMm: 'the allowed span', allowedOverhangMm: 'the allowed overhang', trimTailMm: 'the trim tails',
  layout: 'how the rafters are known', firstCentreMm: 'the first rafter', spacingMm: 'the rafter spacing', widthMm: 'the timber width', timber: 'the kind of timber', spacings: 'the spacings looked for',
  ruleSet: 'the keep-clear rules', values: 'a keep-clear figure', sprinklers: 'the sprinklers', coverageAs: 'how cover is counted', ridgeChoice: 'the ridge strip', windStripMm: 'the wind strip', reserved: 'the reserved parts', lowEdgeMm: 'the wish for the lower edge',
  whole: 'a face added or removed', access: 'the access', decision: 'the decision', hazards: 'the hazards', stops: 'the site’s stops', bring: 'what to bring',
  streetDeg: 'the street’s side', drivewayDeg: 'the driveway’s side', coveringState: 'the covering’s state', coveringAgeYears: 'the covering’s age', coveringYearsLeft: 'the covering’s years left',
  rules: 'what loads the roof', building: 'the building’s size', engineer: 'the engineer', longestMm: 'the longest load the van takes', offcuts: 'the yard’s offcuts', spares: 'the spares', liftKg: 'the lift’s rated load', crateKg: 'the crate’s mass',
  loadPath: 'how modules load the rails', spliceAs: 'how rails are spliced', deflectionOver: 'the deflection limit', heldUpN: 'what a fixing holds', heldDownN: 'what a fixing holds', heldSlopeN: 'what a fixing holds',
  count: 'the number of modules', gapBelowMm: 'the gap below', orientation: 'how the modules lie', skip: 'the places left empty', breaks: 'the expansion breaks', railWay: 'which way rails run', railInMm: 'how far rails lie in', held: 'the modules held in place', yieldShare: 'how much the face yields', aim: 'what the roof is filled for', locked: 'whether it is locked', columns: 'how columns stand', stackFrom: 'which line the rows start from', lowerRailMm: 'the lower rail', upperRailMm: 'the upper rail',
}

/** An edit in a few words, such as `the setbacks` or `row 2: the number of modules`. */
export function wordsFor(edit: Edit): string {
  const parts = [...new Set(touches(edit).map((path) => {
    const pieces = path.split('/')
    const last = pieces.at(-1)!
    const row = pieces.find(piece => piece.startsWith('row '))
    if (pieces[0] === 'site' && !(last in factWords)) return 'the site sheet'
    const isPlace = last === 'place' && pieces[0]?.startsWith('face ')
    const fact = last.startsWith('hit ') ? 'the hit log' : isPlace ? 'where the face lies' : factWords[last] ?? last
    return row ? `${row}: ${fact}` : last === 'shiftMm' ? 'the array’s place along the eave' : fact
  }))]
  return parts.length > 3 ? `${parts.slice(0, 2).join(', ')} and ${parts.length - 2} more` : parts.join(', ')
}
