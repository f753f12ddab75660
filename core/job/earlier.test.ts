import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { catalogue, threeRowsOfSix } from '../../tests/fixtures/jobs'
import { notFinite } from '../../tests/fixtures/not-finite'
import { planJob } from '../plan'
import { type Job, readJob } from './index'

const folder = fileURLToPath(new URL('../../tests/fixtures/earlier/', import.meta.url))
const read = (name: string) => JSON.parse(readFileSync(`${folder}${name}`, 'utf8')) as Job
const names = readdirSync(folder).sort()

describe('job files of earlier versions', () => {
  it.each(names)('%s opens, keeps all it said, and is planned', (name) => {
    const stored = read(name)
    const opened = readJob(stored, catalogue)
    if (!opened.ok) throw new Error(JSON.stringify(opened.problems))
    expect(opened.value).toMatchObject(stored)
    const plan = planJob(opened.value, catalogue)
    expect(plan.totals.modules).toBeGreaterThan(0)
    expect(notFinite(plan)).toEqual([])
    // What was opened once is a file of this version: nothing is filled in again.
    expect(readJob(JSON.parse(JSON.stringify(opened.value)), catalogue)).toEqual(opened)
  })
  it('of the countable fixture plan the same array in every version', () => {
    const totals = names.filter(name => name.includes('three-rows')).map((name) => {
      const opened = readJob(read(name), catalogue)
      return opened.ok && planJob(opened.value, catalogue).totals.modules
    })
    expect(totals.length).toBeGreaterThanOrEqual(5)
    expect(new Set(totals)).toEqual(new Set([planJob(threeRowsOfSix(), catalogue).totals.modules]))
  })
})
