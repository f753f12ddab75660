import { useLayers } from './useLayers'

/** Layers of the drawing that a page shows for what it is about, by the letters that switch them; they come back as they were where it asks for none, and when it goes. */
export function useBorrowedLayers(wanted: () => Record<string, boolean> | null): void {
  const { shows } = useLayers()
  let before: Record<string, boolean> | null = null
  const giveBack = () => {
    if (before) shows.value = before
    before = null
  }
  watch(wanted, (now) => {
    giveBack()
    if (!now) return
    before = shows.value
    shows.value = { ...before, ...now }
  }, { immediate: true })
  onBeforeUnmount(giveBack)
}
