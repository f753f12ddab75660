import { expect, it } from 'vitest'
import { applyEdit, inverseOf, settled } from '../../core/job'
import { roofFaces } from '../../core/roof'
import { changed } from '../../tests/fixtures/jobs'
import { faceLike, facesEdit } from './new-faces'

it('faces of a common roof keep the doubts of what they take over, and have their own; those of faces that go are gone; undo brings all back', () => {
  const job = { ...changed({}), assumed: ['face main/covering', 'face main/pitchDeg', 'face main/supports'] }
  const [main] = job.faces
  const laid = roofFaces({ kind: 'gable', lengthMm: 9000, depthMm: 7000, pitchDeg: 30, azimuthDeg: 180 })
  if (!laid.ok) throw new Error(laid.problem)
  const faces = laid.value.map(one => faceLike(main!, one, 'metric'))
  const edit = settled(job, facesEdit(job, main!, faces, true, ['outline/eaveLengthMm']))
  const after = applyEdit(job, edit)
  expect(after.assumed).toEqual(faces.flatMap(({ id }) => ['covering', 'outline/eaveLengthMm', 'supports'].map(fact => `face ${id}/${fact}`)).sort())
  expect(applyEdit(after, inverseOf(job, edit))).toEqual(job)
})
