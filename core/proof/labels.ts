import type { Module } from '../catalogue'
import type { ProofOf } from '../job'
import { done, type Outcome, refused } from '../outcome'
import type { ProofAsk } from './ask'
import { judgeIsc, judgeVoc } from './judge-string'
import { placeWords, type SerialPlace } from './serials'

/** A label as a reader or a hand gives it: its serial number in capitals, and the part that it names beside it, where it does. */
export function readLabel(text: string, parts: Pick<Module, 'id' | 'name'>[]): Outcome<{ serial: string, partId: string | null }> {
  const plain = text.trim().toUpperCase()
  if (!plain) return refused('Scan or type the serial number.')
  const part = parts.find(({ id, name }) => [id, name].some(one => plain.includes(one.toUpperCase()))) ?? null
  const rest = [part?.name, part?.id].filter(one => one !== undefined).reduce((left, one) => left.replace(one!.toUpperCase(), ' '), plain)
  const words = rest.split(/[\s;|,]+/).map(one => one.replace(/^(S\/?N|SERIAL|SN)[:=.]?/, '')).filter(Boolean)
  const serial = words.sort((a, b) => b.length - a.length)[0] ?? ''
  if (!/^[A-Z0-9./-]{4,40}$/.test(serial)) return refused(`“${text.trim().slice(0, 40)}” holds no serial number of 4 to 40 capitals, figures, dots, strokes and dashes.`)
  return done({ serial, partId: part?.id ?? null })
}

/** What a label at a place comes to: the entry's own facts, or why it is refused. */
export function serialAt(ask: ProofAsk, places: SerialPlace[], at: SerialPlace, label: { serial: string, partId: string | null }): Outcome<Pick<ProofOf<'serial'>, 'faceId' | 'xMm' | 'yMm' | 'what' | 'serial' | 'partId'>> {
  const twice = places.find(one => one.found?.serial === label.serial && one !== at)
  const face = (faceId: string) => ask.job.faces.find(one => one.id === faceId)!
  if (twice) return refused(`${label.serial} stands already at ${face(twice.faceId).name}, ${placeWords(twice, face(twice.faceId))}${twice.what === at.what ? '' : `, as a ${twice.what}`}. Look at both labels.`)
  const counted = ask.job.proof.findLast((entry): entry is ProofOf<'bench'> => entry.kind === 'bench' && entry.serial === label.serial)
  const partId = label.partId ?? counted?.partId ?? at.partId
  if (partId !== at.partId) return refused(`This label says ${nameOf(ask, partId)}, and here the plan has ${at.partName}. Put it aside, or change the plan first.`)
  const sick = counted && benchProblem(ask, counted)
  if (sick) return refused(`${label.serial} was measured on the ground and is not sound: ${sick}`)
  const used = ask.job.proof.find(entry => entry.kind === 'serial-off' && entry.serial === label.serial)
  if (used && !counted) return refused(`${label.serial} was taken off this roof before. Measure it on the ground and say so, then it may go up again.`)
  const secondHand = ask.job.proof.findLast((entry): entry is ProofOf<'goods'> => entry.kind === 'goods' && entry.partId === partId)?.secondHand
  if (at.what === 'module' && secondHand && !counted) return refused(`${at.partName} came second-hand: ${label.serial} is measured on the ground before it is lifted.`)
  return done({ faceId: at.faceId, xMm: at.xMm, yMm: at.yMm, what: at.what, serial: label.serial, partId })
}

const nameOf = ({ catalogue }: ProofAsk, id: string): string => [...catalogue.modules, ...catalogue.electronics].find(one => one.id === id)?.name ?? id

/** What is wrong with a module by what it read on the ground; null where nothing is. */
export function benchProblem({ catalogue }: Pick<ProofAsk, 'catalogue'>, { partId, volts, amps, light, at }: ProofOf<'bench'>): string | null {
  const plate = catalogue.modules.find(one => one.id === partId)?.plate ?? null
  const ask = { modules: 1, plate, at, beside: [] }
  return [judgeVoc({ volts, light }, ask), judgeIsc({ amps, light }, ask)].find(one => one.state === 'fail')?.sentence ?? null
}
