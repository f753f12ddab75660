import type { PoolClient } from 'pg'
import { type Catalogue, catalogueSchema, emptyCatalogue, type Item, type Shelf } from '#core/catalogue'
import type { Used } from '#core/shelf'

/** The firm's catalogue, checked against its schema. */
export async function loadCatalogue(client: PoolClient): Promise<Catalogue> {
  const { rows } = await client.query<{ kind: Shelf, data: unknown }>('select kind, data from catalogue_items order by kind, position, item_id')
  const { rows: [firm] } = await client.query<{ currency: string }>('select currency from firms where firm_id = current_firm()')
  const catalogue = emptyCatalogue(firm?.currency ?? '')
  for (const { kind, data } of rows) (catalogue[kind] as unknown[]).push(data)
  return catalogueSchema.parse(catalogue)
}

/** The firm's catalogue, held until the transaction ends, so that two who change it take turns. */
export async function lockCatalogue(client: PoolClient): Promise<Catalogue> {
  await client.query('select from firms where firm_id = current_firm() for update')
  return await loadCatalogue(client)
}

/** Puts an item on its shelf: in its place where it is there, in that of the one it replaces, else at the end. */
export async function saveItem(client: PoolClient, firmId: string, shelf: Shelf, item: Item): Promise<void> {
  await client.query(
    `insert into catalogue_items (firm_id, kind, item_id, position, data)
     select $1, $2, $3, coalesce((select position from catalogue_items where kind = $2 and item_id = $4), (select max(position) + 1 from catalogue_items where kind = $2), 0), $5
     on conflict (firm_id, kind, item_id) do update set data = excluded.data`,
    [firmId, shelf, item.id, 'replaces' in item ? item.replaces : null, item])
}

/** Takes an item from its shelf, and with it its own small parts and what was said of what it goes with. */
export async function removeItem(client: PoolClient, shelf: Shelf, id: string): Promise<void> {
  await client.query('delete from catalogue_items where kind = $1 and item_id = $2', [shelf, id])
  if (shelf === 'supplies' || shelf === 'coverings' || shelf === 'sets' || shelf === 'pairs' || shelf === 'approvals') return
  await client.query('delete from catalogue_items where (kind = \'pairs\' and (data ->> \'railId\' = $1 or data ->> \'withId\' = $1)) or (kind = \'supplies\' and data ->> \'forId\' = $1) or (kind = \'approvals\' and (data ->> \'moduleId\' = $1 or data ->> \'systemId\' = $1))', [id])
}

export async function setCurrency(client: PoolClient, currency: string): Promise<void> {
  await client.query('update firms set currency = $1 where firm_id = current_firm()', [currency])
}

/** Jobs in which parts stand, or stood before something was undone. Small parts are used with what they belong to; those that go with any, by every job. */
export async function usedParts(client: PoolClient, { supplies }: Catalogue): Promise<Used> {
  const { rows } = await client.query<{ shelf: Shelf | 'any', id: string, jobs: number }>('select shelf, item_id as id, jobs from parts_used where firm_id = current_firm() and jobs > 0')
  const used: Used = {}
  let all = 0
  for (const { shelf, id, jobs } of rows) {
    if (shelf === 'any') all = jobs
    else (used[shelf] ??= {})[id] = jobs
  }
  const items = Object.assign({}, ...Object.values(used)) as Record<string, number>
  const own = used.supplies ??= {}
  for (const { id, forId } of supplies) {
    const jobs = forId === null ? all : items[forId] ?? 0
    if (jobs) own[id] = Math.max(own[id] ?? 0, jobs)
  }
  return used
}
