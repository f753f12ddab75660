import { type Edit, touches } from './edit'

/** What a fact is called when a person is told that it changed. */
const factWords: Record<string, string> = {
  title: 'the job’s name', place: 'the place', units: 'the units',
  name: 'the face’s name', outline: 'the face’s size', pitchDeg: 'the pitch', covering: 'the covering', supports: 'the rafters', setbacks: 'the setbacks', datum: 'the datum corner',
  moduleId: 'the module', railId: 'the rail', mountId: 'the mount', clampsId: 'the clamps', orientation: 'how the modules lie',
  columnGapMm: 'the gap between columns', rowGapMm: 'the gap between rows', rowCount: 'the number of rows', shiftMm: 'the place along the eave',
  fixingPattern: 'the fixing pattern', allowedSpanMm: 'the allowed span', allowedOverhangMm: 'the allowed overhang', trimTailMm: 'the trim tails',
  count: 'the number of modules', gapBelowMm: 'the gap below', lowerRailMm: 'the lower rail', upperRailMm: 'the upper rail',
}

/** An edit in a few words, such as `the setbacks` or `row 2: the number of modules`. */
export function wordsFor(edit: Edit): string {
  const parts = touches(edit).map((path) => {
    const pieces = path.split('/')
    const last = pieces.at(-1)!
    const row = pieces.find(piece => piece.startsWith('row '))
    const fact = factWords[last] ?? last
    return row ? `${row}: ${fact}` : last === 'shiftMm' ? 'the array’s place along the eave' : fact
  })
  return parts.length > 3 ? `${parts.slice(0, 2).join(', ')} and ${parts.length - 2} more` : parts.join(', ')
}
