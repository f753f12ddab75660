import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { describe, expect, it } from 'vitest'

/** Decisions are left out: older ones tell of what was there then. */
const documents = ['README.md', 'docs/architecture.md', 'docs/calculations.md']
const inCode = /`((?:core|app|server|tests|db|cli|docs|scripts)\/[^`\s]*)`/g
const links = /\]\((?!https?:)([^)#]+)\)/g

const isThere = (path: string): boolean => path.includes('*') ? existsSync(dirname(path)) && readdirSync(dirname(path)).some(name => `${dirname(path)}/${name}`.match(path.replaceAll('.', '\\.').replaceAll('*', '.*'))) : existsSync(path)

describe('documents', () => {
  it.each(documents)('%s names no file that is not there', (document) => {
    const text = readFileSync(document, 'utf8')
    const folder = document.includes('/') ? 'docs/' : ''
    const named = [...[...text.matchAll(inCode)].map(one => one[1]!), ...[...text.matchAll(links)].map(one => `${folder}${one[1]!}`)]
    expect(named.length).toBeGreaterThan(0)
    expect(named.filter(path => !isThere(path))).toEqual([])
  })
})
