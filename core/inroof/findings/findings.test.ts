import { describe, expect, it } from 'vitest'
import { demoJobs } from '../../../db/demo/jobs'
import { partOf, tray } from '../../../tests/fixtures/in-roof'
import { after, catalogue } from '../../../tests/fixtures/jobs'
import type { InRoofFacts, Job } from '../../job'
import { applyEdit } from '../../job'
import { planJob } from '../../plan'
import { loadoutOf } from '../../sheets/loadout'
import { calculationSheet } from '../../sheets/calculation'
import { kitOf } from '../kit'

const demo = (title: string) => demoJobs.find(({ job }) => job.title === title)!.job
const fennel = demo('Fennel Field, plot 7')
const eelgrass = demo('2 Eelgrass Cottages')
const set = (job: Job, values: Partial<Omit<InRoofFacts, 'tasks'>>): Job => after(job, { type: 'set-in-roof', faceId: 'main', values })
const found = (job: Job, kind: string) => planJob(job, catalogue).findings.filter(one => one.kind === kind)

describe('what is found on arrival', () => {
  const gone = set(fennel, { found: { felt: 'missing', battens: 'done', windows: 'missing', vents: 'done', scaffold: 'done' } })
  it('and is missing is asked for in one go, of its trade, and then wants a day', () => {
    const [ask] = found(gone, 'inroof-arrival')
    expect(ask!.sentence).toBe('Not there on arrival: felt and roof windows. Somebody has to be asked for them, by a day.')
    const asked = applyEdit(gone, ask!.cures[0]!.edit)
    expect(asked.faces[0]!.inRoof!.tasks.slice(2).map(task => [task.trade, task.due])).toEqual([
      ['roofer', null],
      ['roofer', null],
    ])
    expect(found(asked, 'inroof-arrival').map(one => one.severity)).toEqual(['caution'])
    const [task] = asked.faces[0]!.inRoof!.tasks.slice(2)
    const dated = asked.faces[0]!.inRoof!.tasks.reduce(
      (job, one) => after(job, { type: 'put-task', faceId: 'main', task: { ...one, due: one.due ?? '2026-06-01' } }),
      asked,
    )
    expect([task!.id, found(dated, 'inroof-arrival')]).toEqual(['task-felt', []])
  })

  it('with one course laid asks for the second, once', () => {
    const bare = after(fennel, { type: 'drop-task', faceId: 'main', taskId: 'task-courses' })
    expect(found(bare, 'inroof-arrival').map(one => one.sentence)).toEqual([expect.stringMatching(/^Not there on arrival: 2 courses below\./)])
    expect(found(fennel, 'inroof-arrival')).toEqual([])
    expect(found(set(bare, { coursesLaid: 2 }), 'inroof-arrival')).toEqual([])
  })

  it('says that courses are believed until the first batten and three more are read', () => {
    expect(found(set(fennel, { battensRead: fennel.faces[0]!.inRoof!.battensRead.slice(0, 3) }), 'inroof-arrival').map(one => one.severity)).toEqual(['note'])
  })

  it('goes on the van’s list: what others bring, where the boards lie, and no bolts or rails', () => {
    const { lines } = loadoutOf(fennel, planJob(fennel, catalogue), catalogue)
    const names = lines.map(line => line.name)
    expect(names).toContain('Roofer brings and does, South face: Set the collar for the cables in the felt under the top course, by 2026-05-18')
    expect(names).toContain('Scaffold at South face: boards at 750 mm, 2750 mm, 4750 mm over the ground')
    expect(names.some(name => /bolt|rail|hook|clamp for hawser/i.test(name) && !/Grounding lug/.test(name))).toBe(false)
    expect(names.filter(name => /Saw for battens/.test(name)).length).toBeGreaterThan(0)
  })
})

describe('the order of the kit', () => {
  const grid = [
    [true, true, true],
    [true, true, true],
  ]
  const part = partOf(grid, { widthMm: 1021, heightMm: 1692, columnGapMm: 24, rowGapMm: 18 })
  const stepOf = (school: 'row' | 'module', kind: string) =>
    kitOf([part], tray, school, [])
      .pieces.filter(piece => piece.kind === kind)
      .map(piece => piece.step)
  it('begins with what lies lowest and ends with what lies over it, row by row', () => {
    for (const school of ['row', 'module'] as const) {
      const { steps, pieces } = kitOf([part], tray, school, [])
      expect(Math.max(...stepOf(school, 'bottom-flashing'))).toBe(1)
      expect(Math.min(...stepOf(school, 'top-flashing'))).toBe(steps.length)
      // A level joint lies under the row above it, and a crossing over the joints that meet there.
      expect(Math.min(...stepOf(school, 'joint-across'))).toBeGreaterThan(Math.min(...stepOf(school, 'joint-up')))
      expect(Math.min(...stepOf(school, 'joint-crossing'))).toBeGreaterThan(Math.min(...stepOf(school, 'joint-across')))
      expect(pieces.every(piece => piece.step >= 1 && piece.step <= steps.length)).toBe(true)
    }
  })

  it('has sides and joints with each module, or after the row’s modules, by school', () => {
    const modulesOf = (school: 'row' | 'module') => kitOf([part], tray, school, []).steps.find(step => step.words.startsWith('Modules of row 1'))!
    expect(modulesOf('module').marks.length).toBeGreaterThan(3)
    expect(modulesOf('row').marks).toEqual([])
    expect(Math.min(...stepOf('row', 'side-flashing'))).toBe(modulesOf('row').number + 1)
    expect(Math.min(...stepOf('module', 'side-flashing'))).toBe(modulesOf('module').number)
  })
})

describe('sentences with cures', () => {
  it('name what is measured and what is allowed, and each cure that is shown cures', () => {
    const cases: [Job, string][] = [
      [after(eelgrass, { type: 'set-array', faceId: 'main', values: { rowCount: 9 } }), 'inroof-way'],
      [set(eelgrass, { bottomMm: 1040 }), 'inroof-edge'],
      [after(eelgrass, { type: 'set-array', faceId: 'main', values: { moduleId: 'lantern-460' } }), 'inroof-module'],
      [set(eelgrass, { relief: 'porous-skin' }), 'inroof-relief'],
      [set(eelgrass, { leftMm: 640 }), 'inroof-slivers'],
    ]
    for (const [job, kind] of cases) {
      const [one] = found(job, kind)
      expect(one!.measured === null || one!.limit !== null).toBe(true)
      expect(one!.cures.length).toBeGreaterThan(0)
      for (const { edit } of one!.cures) expect(found(applyEdit(job, edit), kind).map(other => other.id)).not.toContain(one!.id)
    }
  })

  it('tell of screws above a module that is shorter than its system holds it', () => {
    const high = {
      ...catalogue,
      inRoofs: catalogue.inRoofs.map(one => ({
        ...one,
        lines: one.lines.map(line => (line.fromMm > 900 ? { ...line, fromMm: line.fromMm + 600, toMm: line.toMm + 600 } : line)),
      })),
    }
    const [one] = planJob(eelgrass, high).findings.filter(({ kind }) => kind === 'inroof-screws')
    const { parts } = planJob(eelgrass, catalogue).faces[0]!.inRoof!
    // Every module of the frame is held on its upper line by so many screws.
    const upper = catalogue.inRoofs
      .find(({ id }) => id === eelgrass.faces[0]!.inRoof!.systemId)!
      .lines.filter(({ wayUp, fromMm }) => wayUp === eelgrass.faces[0]!.array.orientation && fromMm > 900)
    const screws = parts.flatMap(part => part.cells).length * upper.reduce((sum, { screws }) => sum + screws, 0)
    expect(one!.sentence).toMatch(new RegExp(`above its lower edge, and this one reaches [\\d.]+ mm as it lies: ${screws} screws would miss it\\.$`))
    expect([one!.severity, screws > 0, found(eelgrass, 'inroof-screws')]).toEqual(['stop', true, []])
  })

  it('weigh what pulls a module down the slope, by hand, against its test; without one say that nothing holds it there that is checked', () => {
    const { module } = planJob(eelgrass, catalogue).faces[0]!.parts
    const system = catalogue.inRoofs.find(({ id }) => id === eelgrass.faces[0]!.inRoof!.systemId)!
    // EN: 1.35 G + 1.5 S; 600 Pa on the ground, 40° of slope: μ1 = 0.8 (60 - 40) / 30 (EN 1991-1-3, table 5.2).
    const [sin, cos] = [Math.sin((40 * Math.PI) / 180), Math.cos((40 * Math.PI) / 180)]
    const snowN = (((600 * 0.8 * 20) / 30) * cos * module.longMm * module.shortMm) / 1e6
    const wantedN = (1.35 * 9.80665 * (module.massKg + system.kitKg) + 1.5 * snowN) * sin
    const limitPa = system.holds.find(({ format }) => format === 'en')!.slopePa!
    const share = planJob(eelgrass, catalogue).faces[0]!.inRoof!.use!.shares.find(({ check }) => check === 'module-slope')!
    expect([share.limit, share.share * limitPa * module.longMm * module.shortMm / 1e6]).toEqual([limitPa, expect.closeTo(wantedN, 0)])
    const withTest = (slopePa: number | null) => planJob(eelgrass, { ...catalogue, inRoofs: catalogue.inRoofs.map(one => ({ ...one, holds: one.holds.map(held => ({ ...held, slopePa })) })) })
    const [untested] = withTest(null).findings.filter(({ kind }) => kind === 'inroof-slope')
    expect([untested!.severity, untested!.measured]).toEqual(['caution', { kind: 'force', n: expect.closeTo(wantedN, 0) as number }])
    const [weak] = withTest(100).findings.filter(({ id }) => id.includes('inroof-strength:module-slope'))
    expect([weak!.severity, found(eelgrass, 'inroof-slope')]).toEqual(['stop', []])
  })

  it('claim fewest cuts only of an array that stands as it was found', () => {
    const claims = (job: Job) =>
      found(job, 'inroof-slivers')
        .map(({ sentence }) => sentence)
        .filter(sentence => /no origin/.test(sentence)).length
    const as = (job: Job) => planJob(job, catalogue).faces[0]!.inRoof!.proof.as
    const wanted = after(eelgrass, { type: 'set-job', values: { wanted: 7 } })
    const emptied = after(eelgrass, { type: 'set-row', faceId: 'main', row: 0, values: { skip: [1] } })
    const typed = set(eelgrass, { bottomMm: 1040 })
    expect([eelgrass, wanted, emptied, typed].map(as)).toEqual(['found', 'wanted', 'emptied', 'typed'])
    expect([wanted, emptied, typed].map(claims)).toEqual([0, 0, 0])
  })

  it('tell of rows that were to lie the other way up and have no room', () => {
    const job = set(eelgrass, { changeAtRow: 2 })
    expect(found(job, 'inroof-way').map(one => one.sentence)).toEqual([
      expect.stringMatching(/^Row 2 and those above were to lie the other way up; .* there is no room for one\./),
    ])
    expect(planJob(job, catalogue).faces[0]!.inRoof!.parts).toHaveLength(1)
  })
})

it('stands on the calculation sheet with its loads, what holds it and its battens', () => {
  const { sections, cautions } = calculationSheet(eelgrass, planJob(eelgrass, catalogue))
  expect(sections.map(section => section.title)).toEqual(['loads', 'combinations', 'the array in the roof', 'battens'].map(title => `Garden face: ${title}`))
  const held = sections[2]!.workings.map(working => working.what)
  for (const what of ['Suction on a module that is the covering', 'Suction on a module', 'A screw’s pull', 'Bending of a batten', 'Pull on a batten’s nails'])
    expect(held).toContain(what)
  expect(sections[3]!.table!.rows).toHaveLength(planJob(eelgrass, catalogue).faces[0]!.inRoof!.battens!.steps.length)
  const weak = set(eelgrass, { batten: { ...eelgrass.faces[0]!.inRoof!.batten, bendingMpa: 8 } })
  expect(calculationSheet(weak, planJob(weak, catalogue)).cautions.some(line => line.startsWith('Stop: Bending of a batten is at'))).toBe(true)
  expect(cautions.some(line => line.startsWith('Stop'))).toBe(false)
})
