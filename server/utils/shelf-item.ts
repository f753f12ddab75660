import type { H3Event } from 'h3'
import { type Catalogue, type Shelf, shelves } from '#core/catalogue'
import { findItem } from '#core/shelf'

const noSuchPart = (): never => refuse(404, [{ path: 'id', sentence: 'There is no such part on the shelf. It may have been taken away.' }])

/** The shelf of the address, or 404. */
export const shelfOfAddress = (event: H3Event): Shelf => shelves.find(shelf => shelf === getRouterParam(event, 'shelf')) ?? noSuchPart()

/** The part of the address, or 404. */
export function shelfItemOf(event: H3Event, catalogue: Catalogue): { shelf: Shelf, id: string } {
  const shelf = shelfOfAddress(event)
  const id = decodeURIComponent(getRouterParam(event, 'item') ?? '')
  return findItem(catalogue, shelf, id) ? { shelf, id } : noSuchPart()
}
