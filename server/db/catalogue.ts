import type { PoolClient } from 'pg'
import { type Catalogue, catalogueSchema } from '#core/catalogue'

/** The firm's catalogue, checked against its schema. */
export async function loadCatalogue(client: PoolClient): Promise<Catalogue> {
  const { rows } = await client.query<{ kind: keyof Catalogue, data: unknown }>('select kind, data from catalogue_items order by kind, position')
  const shelves: Record<keyof Catalogue, unknown[]> = { modules: [], rails: [], mounts: [], clamps: [] }
  for (const { kind, data } of rows) shelves[kind].push(data)
  return catalogueSchema.parse(shelves)
}
