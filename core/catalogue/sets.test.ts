import { describe, expect, it } from 'vitest'
import { seeded } from '../../tests/fixtures/random'
import { after, changed } from '../../tests/fixtures/jobs'
import { usualCovering } from '../coverings'
import { planJob } from '../plan'
import { type Catalogue, type ChosenParts, chooseParts, coveringKinds, demoCatalogue, type Ground, idsOf, mismatches, nearestSet, partFields, setsFor, supportKinds, wholeSets } from './index'

const starting = chooseParts(demoCatalogue, { moduleId: 'skerry-425', railId: 'bollard-light', mountId: 'limpet-flashed', clampsId: 'pinch-inch' })

/** A shelf with a share of its pairs and parts gone, and some retired. */
function thinned(next: () => number): Catalogue {
  const some = <T extends { retired: boolean }>(items: T[]): T[] => items.map(item => next() < 0.25 ? { ...item, retired: true } : item)
  return { ...demoCatalogue, rails: some(demoCatalogue.rails), mounts: some(demoCatalogue.mounts), clamps: some(demoCatalogue.clamps), sets: some(demoCatalogue.sets), pairs: demoCatalogue.pairs.filter(() => next() < 0.8) }
}

describe('whole sets', () => {
  it('on 500 random shelves and roofs are all that go together by trying every rail, mount and clamps, the fewest changes first', () => {
    let found = 0
    for (let seed = 1; seed <= 500; seed++) {
      const { next, pick } = seeded(seed)
      const catalogue = thinned(next)
      const ground: Ground = { covering: pick(coveringKinds), support: next() < 0.8 ? 'rafters' : pick(supportKinds) }
      const chosen: ChosenParts = { module: pick(catalogue.modules), rail: pick(catalogue.rails), mount: pick(catalogue.mounts), clamps: pick(catalogue.clamps) }
      const keep = pick([undefined, ...partFields])
      const before = idsOf(chosen)
      // By trial: every combination is asked for what does not go together in it.
      const stays = (part: { id: string, retired: boolean }, own: { id: string }) => part.id === own.id || !part.retired
      const tried = catalogue.rails.flatMap(rail => catalogue.mounts.flatMap(mount => catalogue.clamps.map(clamps => ({ module: chosen.module, rail, mount, clamps }))))
        .filter(parts => stays(parts.rail, chosen.rail) && stays(parts.mount, chosen.mount) && stays(parts.clamps, chosen.clamps))
        .filter(parts => !keep || idsOf(parts)[keep] === before[keep])
        .filter(parts => mismatches(catalogue, parts, ground).length === 0)
        .map(parts => Object.values(idsOf(parts)).join(' '))
      const sets = wholeSets(catalogue, chosen, ground, keep)
      expect(sets.map(set => Object.values(idsOf(set.parts)).join(' ')).sort()).toEqual(tried.sort())
      for (const [i, set] of sets.entries()) {
        expect(set.changed).toEqual(partFields.filter(field => idsOf(set.parts)[field] !== before[field]))
        expect(set.changed.length).toBeGreaterThanOrEqual(sets[i - 1]?.changed.length ?? 0)
      }
      found += sets.length
      if (keep) {
        const nearest = nearestSet(catalogue, chosen, ground, keep)
        expect(nearest?.changed.length).toBe(sets[0]?.changed.length)
        if (nearest) expect(mismatches(catalogue, nearest.parts, ground)).toEqual([])
      }
      // Named ones for choosing anew never hold what is retired.
      for (const { parts, named } of setsFor(catalogue, chosen, ground)) {
        expect([parts.rail, parts.mount, parts.clamps, named!].some(part => part.retired)).toBe(false)
        expect(mismatches(catalogue, parts, ground)).toEqual([])
      }
    }
    expect(found).toBeGreaterThan(100)
  })
  it.each([['slate', 'slate-hooks'], ['interlocking-tile', 'tile-hooks'], ['coursed-shingle', 'shingle-light']] as const)('for %s begin with the one the firm has named, %s', (covering, id) => {
    expect(setsFor(demoCatalogue, starting, { covering, support: 'rafters' }).map(set => set.named!.id)).toContain(id)
  })
})

describe('parts that do not go together', () => {
  const roof = (array: object, catalogue = demoCatalogue) => planJob(changed({ covering: usualCovering('slate', false) }, array), catalogue)
  const said = (plan: ReturnType<typeof roof>) => plan.findings.filter(finding => finding.kind === 'parts')
  it('are cured by the set that suits, all of it in one go', () => {
    const [finding] = said(roof({}))
    expect(finding!.sentence).toBe('Limpet flashed foot is not made for this covering. Another must change with it.')
    // On this roof slots would come near joints: the cures say that they bring other stops.
    expect(finding!.cures.map(cure => cure.label.replace(/ \(brings.*\)$/, ''))).toEqual(['Use Hawser 42 rail, Windlass slate hook and Hawser grip clamps', 'Use Hawser 42 rail, Windlass slate plate and Hawser grip clamps'])
    const job = after(changed({}, {}), finding!.cures[0]!.edit)
    expect(job.faces[0]!.array).toMatchObject({ railId: 'hawser-mid', mountId: 'windlass-slate-hook', clampsId: 'hawser-grip', supplyIds: ['gull-lug'] })
  })
  it('are called hopeless only when nothing on the shelf goes together there', () => {
    const without = { ...demoCatalogue, mounts: demoCatalogue.mounts.map(mount => mount.id.startsWith('windlass-slate') ? { ...mount, retired: true } : mount) }
    const [finding] = said(roof({}, without))
    expect(finding!.sentence).toContain('No rail, mount and clamps on the shelf go together here')
    expect(finding!.cures).toEqual([])
    expect(said(roof({}))[0]!.sentence).not.toContain('No rail')
  })
  it('that are retired are noted, with what came in their place', () => {
    const next = { ...starting.module, id: 'skerry-425-2', name: 'Skerry 425 b', replaces: 'skerry-425' }
    const catalogue = { ...demoCatalogue, modules: [{ ...starting.module, retired: true }, next] }
    const [finding] = planJob(changed({}, {}), catalogue).findings.filter(one => one.kind === 'retired-parts')
    expect(finding).toMatchObject({ severity: 'note', sentence: 'Skerry 425 is retired on the shelf; Skerry 425 b came in its place. This job keeps its figures until another is chosen.' })
    expect(finding!.cures.map(cure => cure.label)).toEqual(['Use Skerry 425 b'])
  })
})

describe('small parts of a set', () => {
  it('are those that the load-out takes, where several would do', () => {
    const lug = demoCatalogue.supplies.find(supply => supply.kind === 'lug')!
    const other = { ...lug, id: 'tern-lug', maker: 'Tern Electric', name: 'Tern lug', price: 99 }
    const catalogue = { ...demoCatalogue, supplies: [...demoCatalogue.supplies, other] }
    const lugIn = (supplyIds: string[], shelf: Catalogue) => planJob(changed({}, { supplyIds }), shelf).faces[0]!.list.find(part => part.kind === 'lug')
    expect(lugIn([], catalogue)).toMatchObject({ name: lug.name, maker: lug.maker })
    expect(lugIn(['tern-lug'], catalogue)).toMatchObject({ name: 'Tern lug', maker: 'Tern Electric', price: 99 })
    // What is retired is not taken any more, unless it is named.
    const retired = { ...catalogue, supplies: catalogue.supplies.map(one => one.id === lug.id ? { ...one, retired: true } : one) }
    expect(lugIn([], retired)!.name).toBe('Tern lug')
    expect(lugIn([lug.id], retired)!.name).toBe(lug.name)
  })
})
