import type { PoolClient } from 'pg'
import { type Catalogue, catalogueSchema } from '#core/catalogue'

type Shelf = Exclude<keyof Catalogue, 'currency'>

/** The firm's catalogue, checked against its schema. */
export async function loadCatalogue(client: PoolClient): Promise<Catalogue> {
  const { rows } = await client.query<{ kind: Shelf, data: unknown }>('select kind, data from catalogue_items order by kind, position')
  const { rows: [firm] } = await client.query<{ currency: string }>('select currency from firms where firm_id = current_firm()')
  const shelves: Record<Shelf, unknown[]> = { modules: [], rails: [], mounts: [], clamps: [], supplies: [] }
  for (const { kind, data } of rows) shelves[kind].push(data)
  return catalogueSchema.parse({ currency: firm?.currency, ...shelves })
}
