import { layers } from '#core/sheets/figure'

/** What switches layers of the drawing, each letter once; what is off to begin with comes last. */
export const layerSwitches = layers.flatMap(layer => layer.toggle ?? [])
  .filter((one, i, all) => all.findIndex(other => other.key === one.key) === i)
  .sort((a, b) => Number(b.on) - Number(a.on))

/** Which layers are shown, by the letter that switches them; kept while the page is open. */
export function useLayers() {
  const shows = useState<Record<string, boolean>>('layers', () => Object.fromEntries(layerSwitches.map(({ key, on }) => [key, on])))
  const toggle = (key: string) => shows.value = { ...shows.value, [key]: !shows.value[key] }
  return { shows, toggle }
}
