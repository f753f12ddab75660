import { describe, expect, it } from 'vitest'
import { after, catalogue, threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { type Random, seeded } from '../../../tests/fixtures/random'
import {
  applyEdit,
  bareGround,
  plainThing,
  plainWall,
  type Edit,
  editKinds,
  foldEntries,
  inverseOf,
  type Job,
  obstacleIn,
  plainInRoof,
  type PlainEdit,
  pushHistory,
  readEdit,
  readJob,
  stacksOf,
  starterFace,
  starterJob,
  touches,
  wordsFor,
} from '../index'

const logged = (): Job => applyEdit(applyEdit({ ...threeRowsOfSix(), ground: { ...bareGround, walls: [plainWall], things: [plainThing] } }, { type: 'take-in-roof', faceId: 'main', inRoof: { ...plainInRoof, systemId: 'saltings-tray', tasks: [{ id: 'task-felt', trade: 'roofer', what: 'Lay the felt', due: null, done: false }] } }), {
  type: 'log-hits',
  faceId: 'main',
  hits: ['a', 'b', 'c'].map((id, at) => ({ at, hit: { id, xMm: 610 * at, yMm: 900, state: 'knock', use: 'rafter' } })),
})

/** An edit of any kind that can be made to the job as it stands. */
function randomPlain(job: Job, random: Random): PlainEdit {
  for (;;) {
    const edit = random.pick(editKinds).example(job, random) as PlainEdit
    if (obstacleIn(job, edit) === null) return edit
  }
}
function randomEdit(job: Job, random: Random): Edit {
  if (random.next() >= 0.2) return randomPlain(job, random)
  const edits: PlainEdit[] = []
  for (let state = job; edits.length < 3; state = applyEdit(state, edits.at(-1)!)) edits.push(randomPlain(state, random))
  return { type: 'batch', edits }
}

describe('edits', () => {
  it('of every kind are taken back exactly by their inverses, 500 random chains', () => {
    const random = seeded(3)
    const made = new Set<string>()
    for (let i = 0; i < 500; i++) {
      let job = logged()
      const inverses: Edit[] = []
      const start = JSON.stringify(job)
      for (let k = 0; k < 8; k++) {
        const edit = randomEdit(job, random)
        for (const one of edit.type === 'batch' ? edit.edits : [edit]) made.add(one.type)
        inverses.unshift(inverseOf(job, edit))
        const before = JSON.stringify(job)
        const next = applyEdit(job, edit)
        expect(JSON.stringify(job)).toBe(before)
        job = next
      }
      for (const inverse of inverses) job = applyEdit(job, inverse)
      expect(JSON.stringify(job)).toBe(start)
    }
    expect([...made].sort()).toEqual(editKinds.map(kind => kind.schema.shape.type.value).sort())
  })

  it.each(editKinds.map(kind => [
    kind.schema.shape.type.value,
    kind,
  ] as const))('%s: its example can be read, changes the job, collides with itself only where it should, and has words', (type, kind) => {
    const random = seeded(11)
    const one = after(logged(), { type: 'log-broken', faceId: 'main', broken: [{ id: 'tab', course: 4, unit: 7, by: 'A roofer', supplies: 'firm', on: '2026-05-04' }] }, { type: 'log-work', entries: [{ at: null, entry: { id: 'hole-1', faceId: 'main', by: 'A roofer', at: '2026-05-04T09:30:00Z', kind: 'note', holeId: null, words: 'Dry' } }] }, { type: 'say-proof', entries: [{ at: null, entry: { id: 'proof-1', by: 'A roofer', at: '2026-05-04T09:30:00Z', kind: 'password', what: 'Gateway' } }] })
    const two = applyEdit(one, { type: 'add-face', at: 1, face: { ...one.faces[0]!, id: 'wing' } })
    const edits = Array.from({ length: 40 }, () => kind.example(two, random) as PlainEdit)
    for (const edit of edits) {
      const read = readEdit(JSON.parse(JSON.stringify(edit)), two, catalogue)
      expect(read.ok ? edit : read.problems).toEqual(edit)
      expect(touches(edit).length).toBeGreaterThan(0)
      expect(wordsFor(edit)).toMatch(/^[a-z].{3,}/)
      expect(wordsFor(edit)).not.toMatch(/undefined|Mm\b|[a-z][A-Z]/)
    }
    expect(edits.some(edit => JSON.stringify(applyEdit(two, edit)) !== JSON.stringify(two)), type).toBe(true)
    const other = edits.find(edit => 'faceId' in edit && edit.faceId === 'wing')
    if (other) expect(touches(other).some(fact => touches({ ...other, faceId: 'main' } as PlainEdit).includes(fact))).toBe(false)
  })

  it('undo and redo walk up and down a history', () => {
    const start = { job: threeRowsOfSix(), stacks: { undo: [], redo: [] } }
    const pitch = (pitchDeg: number): Edit => ({ type: 'set-face', faceId: 'main', values: { pitchDeg } })
    let state = foldEntries(start, [{ id: 'a', kind: 'edit', edit: pitch(30) }, { id: 'b', kind: 'edit', edit: pitch(40) }])
    state = foldEntries(state, [{ id: 'c', kind: 'undo', edit: state.stacks.undo.at(-1)! }])
    expect(state.job.faces[0]!.pitchDeg).toBe(30)
    state = foldEntries(state, [{ id: 'd', kind: 'redo', edit: state.stacks.redo.at(-1)! }])
    expect(state.job.faces[0]!.pitchDeg).toBe(40)
    expect(state.stacks.redo).toEqual([])
    expect(pushHistory(state.stacks, { kind: 'edit', inverse: pitch(1) }).redo).toEqual([])
    expect(stacksOf([{ kind: 'edit', edit: pitch(2), inverse: pitch(1), own: true }, { kind: 'undo', edit: pitch(1), inverse: pitch(2), own: true }], 9)).toEqual({ undo: [], redo: [pitch(2)] })
  })

  it('can be taken back by whoever made them, and not over what somebody else made of the same fact since', () => {
    const own = (values: object) => ({ kind: 'edit' as const, edit: { type: 'set-face', faceId: 'main', values } as Edit, inverse: { type: 'set-face', faceId: 'main', values } as Edit, own: true })
    const theirs = (values: object) => ({ ...own(values), own: false })
    const named = own({ name: 'Mine' })
    expect(stacksOf([own({ pitchDeg: 30 }), named, theirs({ pitchDeg: 35 })], 9).undo).toEqual([named.inverse])
    expect(stacksOf([theirs({ pitchDeg: 35 }), own({ pitchDeg: 30 })], 9).undo).toHaveLength(1)
    expect(stacksOf(Array.from({ length: 9 }, () => named), 4).undo).toHaveLength(4)
    // A whole face that somebody put there holds all of its facts, and supports their hits.
    expect(stacksOf([own({ pitchDeg: 30 }), { ...theirs({}), edit: { type: 'remove-face', faceId: 'main' } }], 9).undo).toEqual([])
    const start = { job: threeRowsOfSix(), stacks: { undo: [], redo: [] } }
    const folded = foldEntries(start, [{ id: 'a', ...own({ pitchDeg: 30 }) }, { id: 'b', ...theirs({ pitchDeg: 41 }) }, { id: 'c', ...named }])
    expect([folded.job.faces[0]!.pitchDeg, folded.job.faces[0]!.name, folded.stacks.undo.length]).toEqual([41, 'Mine', 1])
  })

  it('whose face somebody else has removed are passed over, and refused with a sentence when sent', () => {
    const two = applyEdit(threeRowsOfSix(), {
      type: 'add-face',
      at: 1,
      face: starterFace('wing', 'Wing', 'metric', { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }),
    })
    const pitch: Edit = { type: 'set-face', faceId: 'wing', values: { pitchDeg: 20 } }
    const removed = applyEdit(two, { type: 'remove-face', faceId: 'wing' })
    const folded = foldEntries({ job: removed, stacks: { undo: [], redo: [] } }, [
      { id: 'a', kind: 'edit', edit: pitch },
      { id: 'b', kind: 'edit', edit: { type: 'set-job', values: { title: 'Kept' } } },
    ])
    expect(folded.job.title).toBe('Kept')
    expect(folded.stacks.undo).toHaveLength(1)
    const read = readEdit(pitch, removed, catalogue)
    expect(read.ok ? '' : read.problems[0]!.sentence).toContain('removed meanwhile')
    for (const edit of [
      { type: 'remove-face', faceId: 'main' },
      { type: 'batch', edits: [{ type: 'remove-face', faceId: 'main' }, { type: 'set-array', faceId: 'main', values: {} }] },
    ]) expect(readEdit(edit, removed, catalogue).ok).toBe(false)
  })

  it('keep two people’s hit logs apart, and leave what was logged meanwhile when a fit is taken back', () => {
    const hit = (id: string, xMm: number) => ({ at: 0, hit: { id, xMm, yMm: 900, state: 'knock' as const, use: 'rafter' as const } })
    const job = applyEdit(threeRowsOfSix(), { type: 'log-hits', faceId: 'main', hits: [hit('a', 300), hit('b', 910)] })
    const accept: Edit = { type: 'set-rafters', faceId: 'main', values: { layout: 'fitted' } }
    const back = inverseOf(job, accept)
    const logged = applyEdit(applyEdit(job, accept), { type: 'log-hits', faceId: 'main', hits: [hit('c', 1520), hit('a', 300)] })
    const after = applyEdit(logged, back).faces[0]!.supports
    expect(after.kind === 'rafters' && [after.layout, after.hits.map(one => one.id)]).toEqual(['nominal', ['c', 'b', 'a']])
  })

  it('say which facts they touch and in which words', () => {
    expect(touches({ type: 'move-rafter', faceId: 'main', rafter: 3, centreMm: 5 })).toEqual(['face main/rafter 3'])
    expect(wordsFor({ type: 'set-row', faceId: 'main', row: 1, values: { count: 4 } })).toBe('row 2: the number of modules')
    expect(wordsFor({ type: 'set-array', faceId: 'main', values: { shiftMm: 4 } })).toBe('the array’s place along the eave')
    expect(wordsFor({ type: 'batch', edits: [1, 2, 3, 4].map(rafter => ({ type: 'move-rafter', faceId: 'main', rafter, centreMm: 1 })) })).toBe('rafter 1, rafter 2 and 2 more')
  })
})

describe('reading from outside', () => {
  it('takes a whole job and names the path of everything wrong with a bad one', () => {
    const job = threeRowsOfSix()
    expect(readJob(JSON.parse(JSON.stringify(job)), catalogue).ok).toBe(true)
    const bad = readJob({ ...job, units: 'cubits', faces: [{ ...job.faces[0], pitchDeg: 80 }] }, catalogue)
    expect(bad.ok ? [] : bad.problems.map(problem => problem.path)).toEqual(['units', 'faces.0.pitchDeg'])
    const unknown = readJob({ ...job, faces: [{ ...job.faces[0]!, array: { ...job.faces[0]!.array, railId: 'no-such-rail' } }] }, catalogue)
    expect(unknown).toMatchObject({ ok: false, problems: [{ path: 'faces.0.array.railId' }] })
    const twice = readJob({ ...job, faces: [job.faces[0], job.faces[0]] }, catalogue)
    expect(twice.ok).toBe(false)
    for (const odd of [null, 7, 'job', [], {}]) expect(readJob(odd, catalogue).ok).toBe(false)
  })

  it('refuses edits that would leave the job unreadable, with a sentence', () => {
    const job = threeRowsOfSix()
    const attempts: unknown[] = [
      { type: 'set-face', faceId: 'main', values: { pitchDeg: -3 } },
      { type: 'set-face', faceId: 'nowhere', values: { pitchDeg: 30 } },
      { type: 'set-array', faceId: 'main', values: { railId: 'no-such-rail' } },
      { type: 'set-face', faceId: 'main', values: { outline: { kind: 'rectangle', eaveLengthMm: Number.NaN, slopeLengthMm: 4000 } } },
      { type: 'explode' },
    ]
    for (const attempt of attempts) {
      const read = readEdit(attempt, job, catalogue)
      expect(read.ok).toBe(false)
      if (!read.ok) expect(read.problems[0]!.sentence.length).toBeGreaterThan(10)
    }
    expect(readEdit({ type: 'set-face', faceId: 'main', values: { pitchDeg: 30 } }, job, catalogue).ok).toBe(true)
  })

  it('starts new jobs that can be read in both systems', () => {
    const parts = { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' }
    for (const units of ['imperial', 'metric'] as const) expect(readJob(starterJob('New', '', units, parts), catalogue).ok).toBe(true)
  })
})
