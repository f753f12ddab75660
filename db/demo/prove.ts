import { demoCatalogue, serviceVolts } from '../../core/catalogue'
import { applyEdit, type Found, type Job, type Light, paperKinds, type ProofEntry, type ProofKind, type ProofOf, type Subject } from '../../core/job'
import { planJob } from '../../core/plan'
import { type Chain, chainsOf, circuitsOf, expectedIscA, expectedVocV, insulationClass, judgedOf, MAINS_INSULATION, type ProofAsk, serialPlaces, tightenedOf, wantedPictures } from '../../core/proof'

/** Facts of an entry beside who says it and when. */
export type Facts<K extends ProofKind> = Omit<ProofOf<K>, 'id' | 'by' | 'at' | 'kind'>

/** Days after the first on which papers come, in their order. */
const PAPER_DAYS = [-20, -16, 1, 6, 9, 10, 17, 21]
const dayAfter = (at: string, days: number): string => new Date(Date.parse(at) + days * 86_400_000).toISOString().slice(0, 10)

/** Somebody who proves a job with readings as they should be, give or take a little, in the order in which they are asked for. */
export class Prover {
  readonly #plan: Pick<ProofAsk, 'faces' | 'wiring' | 'grid'>
  readonly #begins: number
  #said = 0

  constructor(public job: Job, readonly by: string, begins: string, readonly light: Light = { gWm2: 742, cellC: 41 }, readonly prefix = 'proof') {
    const plan = planJob(job, demoCatalogue)
    this.#plan = { faces: plan.faces.map((own, i) => ({ face: job.faces[i]!, plan: own })), wiring: plan.wiring, grid: plan.grid }
    this.#begins = Date.parse(begins)
  }

  get ask(): ProofAsk {
    return { job: this.job, catalogue: demoCatalogue, ...this.#plan }
  }

  /** Says one thing, a minute after the last, and gives its name. */
  say<K extends ProofKind>(kind: K, facts: Facts<K>): string {
    const id = `${this.prefix}-${++this.#said}`
    const at = new Date(this.#begins + this.#said * 60_000).toISOString().replace('.000Z', 'Z')
    this.job = applyEdit(this.job, { type: 'say-proof', entries: [{ at: null, entry: { id, by: this.by, at, kind, ...facts } as unknown as ProofEntry }] })
    return id
  }

  goods(): void {
    const counts = new Map<string, number>()
    for (const { plan } of this.#plan.faces) counts.set(plan.parts.module.id, (counts.get(plan.parts.module.id) ?? 0) + plan.modules)
    for (const [partId, counted] of counts) if (counted) this.say('goods', { partId, ordered: counted, counted, glass: true, frame: true, label: true, secondHand: false, words: '' })
  }

  serials(): void {
    serialPlaces(this.ask).forEach(({ faceId, xMm, yMm, what, partId }, i) => this.say('serial', { faceId, xMm, yMm, what, partId, serial: `${what === 'module' ? 'SKG' : 'LHU'}26-${String(40_117 + 7 * i).padStart(6, '0')}`, via: 'scanned' }))
  }

  /** What a test should find. */
  right({ subject }: Pick<Chain, 'subject'>, step: Found['step']): Found {
    const light = this.light
    const circuit = subject.of === 'circuit' ? circuitsOf(this.ask).find(one => one.tag.number === subject.tag.number) : undefined
    const count = circuit?.tag.count ?? 0
    const insulation = circuit?.plate && circuit.kind !== 'branch' ? insulationClass(count * circuit.plate.vocV) : MAINS_INSULATION
    const small = 1 + 0.002 * ((this.#said % 5) - 2)
    switch (step) {
      case 'continuity': return { step, ohm: 0.08 }
      case 'polarity': case 'combiner': case 'mains-polarity': case 'phase-order': return { step, right: true }
      case 'voc': return circuit!.kind === 'string' ? { step, volts: Number((count * expectedVocV(circuit!.plate!, light) * small).toFixed(1)), light, units: 'none' } : { step, volts: Number((count * circuit!.unit!.standbyV!).toFixed(2)), light, units: 'standby' }
      case 'isc': return { step, amps: Number((expectedIscA(circuit!.plate!, light) * small).toFixed(2)), light }
      case 'switch': return { step, opens: true }
      case 'insulation': return { step, method: 'each', testV: insulation.testV, minus: { mohm: 199, atLeast: true }, plus: { mohm: 199, atLeast: true } }
      case 'mains-volts': return { step, volts: serviceVolts[this.#plan.wiring.rules.service] + 1 }
      case 'rcd': return { step, ratedMa: 30, ms: 118, fiveMs: 22 }
      case 'loop': return { step, ohm: 0.3 }
      case 'ground-fault': case 'arc-fault': return { step, armed: true }
      case 'mains-loss': return { step, stops: true, seconds: 0.3 }
      case 'shutdown': return { step, volts: 4, seconds: 12 }
    }
  }

  /** Makes the next test of a chain; false where none is offered. */
  next(chain: Chain, found: (step: Found['step']) => Found = step => this.right(chain, step)): boolean {
    const step = chain.steps.find(one => one.state === 'next')
    if (!step) return false
    for (const what of step.needs) this.say('ready', { subject: chain.subject, what })
    const facts = { subject: chain.subject, found: found(step.step), instrument: 'Array tester stand-in', judged: null }
    const judged = judgedOf(chain.judge({ ...facts, id: 'x', by: this.by, at: new Date(this.#begins + (this.#said + 1) * 60_000).toISOString(), kind: 'test' }))
    this.say('test', { ...facts, judged })
    return true
  }

  chain = (id: string): Chain => chainsOf(this.ask).find(one => one.id === id)!
  join(subject: Subject): void {
    this.say('end', { subject, state: 'joined', tag: '', until: null })
  }

  /** All tests in their order, strings joined when they are tested. */
  tests(): void {
    for (let guard = 0; guard < 2000; guard++) {
      const chains = chainsOf(this.ask)
      const ready = chains.find(one => one.mayJoin)
      const open = chains.find(one => one.steps.some(({ state }) => state === 'next'))
      if (open) this.next(open)
      else if (ready) this.join(ready.subject)
      else return
    }
  }

  torques(): void {
    for (const { thing, wantedNm } of tightenedOf(this.ask)) this.say('torque', { thingId: thing.id, terminal: 'Line terminals', torqueNm: wantedNm ?? 4, tool: 'Torque screwdriver 7', calibratedTo: dayAfter(new Date(this.#begins).toISOString(), 200), marked: true, againBy: '' })
  }

  gateway(): void {
    this.say('gateway', { powered: true, online: true, indoors: true, nearPanel: true, updating: false })
    const units = serialPlaces(this.ask).filter(one => one.what === 'unit' && one.found)
    if (units.length) this.say('report', { gWm2: this.light.gWm2, units: units.map((one, i) => ({ serial: one.found!.serial, signal: 4, profile: 'set', watts: 261 + i % 5 })) })
    this.say('password', { what: 'Gateway and inverter' })
  }

  /** @param photoIds of the pictures, in the order in which they are wanted */
  photographs(photoIds: (i: number) => string): void {
    wantedPictures(this.ask).forEach((one, i) => this.say('photograph', { photoId: photoIds(i), wanted: one.id, caption: one.caption }))
  }

  papers(many: number = paperKinds.length): void {
    const begins = new Date(this.#begins).toISOString()
    paperKinds.slice(0, many).forEach((paper, i) => this.say('paper', { paper, state: 'granted', on: dayAfter(begins, PAPER_DAYS[i]!), due: null, who: 'Perrin Oakum', number: `${paper.slice(0, 3).toUpperCase()}-${214 + 13 * i}`, photoId: null }))
  }
}
