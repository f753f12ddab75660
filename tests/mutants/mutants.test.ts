import { expect, it } from 'vitest'
import type { PartKind } from '../../core/catalogue'
import type { MarkStepKind } from '../../core/trade'
import { trades } from '../../core/trades'
import { checkFinding, checkLayer, checkMarks, checkParts } from '../fixtures/said'

/** One function of a trade, with its body taken out, and the check that has to notice. */
interface Mutant { name: string, takeOut: () => () => void, check: () => void }

function emptied(holder: object, key: string): () => () => void {
  return () => {
    const own = holder as Record<string, unknown>
    const kept = own[key]
    own[key] = () => []
    return () => {
      own[key] = kept
    }
  }
}

const mutants: Mutant[] = trades.flatMap(({ id, face, job }) => [
  ...[face?.findings, job?.findings].flatMap(findings => Object.keys(findings ?? {}).map((kind): Mutant => ({
    name: `${id}: finding ${kind}`,
    takeOut: emptied(findings!, kind),
    check: () => checkFinding(kind),
  }))),
  ...Object.keys(face?.marks ?? {}).map((kind): Mutant => ({ name: `${id}: marks ${kind}`, takeOut: emptied(face!.marks!, kind), check: () => checkMarks(kind as MarkStepKind) })),
  ...[face?.parts, job?.parts].flatMap(parts => Object.keys(parts ?? {}).map((kind): Mutant => ({
    name: `${id}: part ${kind}`,
    takeOut: emptied(parts!, kind),
    check: () => checkParts(kind as PartKind),
  }))),
  ...(face?.layers ?? []).map((layer): Mutant => ({ name: `${id}: layer ${layer.id}`, takeOut: emptied(layer, 'shapes'), check: () => checkLayer(layer.id) })),
])

it('every function that a trade speaks by is missed when its body is taken out', () => {
  const survived: string[] = []
  for (const { name, takeOut, check } of mutants) {
    check()
    const putBack = takeOut()
    try {
      check()
      survived.push(name)
    }
    catch {
      // Caught: some check failed without it.
    }
    finally {
      putBack()
    }
  }
  console.log(`${mutants.length - survived.length} of ${mutants.length} bodies taken out were noticed${survived.length ? `; not: ${survived.join(', ')}` : ''}.`)
  expect(survived).toEqual([])
}, 600_000)
