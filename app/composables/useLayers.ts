/** The drawing's layers, each with the key that switches it. */
export const layers = [
  { id: 'rafters', key: 'r', name: 'Rafters' },
  { id: 'courses', key: 'c', name: 'Courses' },
  { id: 'keepClear', key: 'k', name: 'Keep-clear' },
  { id: 'modules', key: 'm', name: 'Modules' },
  { id: 'rails', key: 'l', name: 'Rails' },
  { id: 'fixings', key: 'f', name: 'Fixings' },
  { id: 'zones', key: 'z', name: 'Wind zones' },
] as const

export type LayerId = typeof layers[number]['id']

/** Which layers are shown; kept while the page is open. */
export function useLayers() {
  const shows = useState<Record<LayerId, boolean>>('layers', () => ({ rafters: true, courses: true, keepClear: true, modules: true, rails: true, fixings: true, zones: false }))
  const toggle = (id: LayerId) => shows.value = { ...shows.value, [id]: !shows.value[id] }
  return { shows, toggle }
}
