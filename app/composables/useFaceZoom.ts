import type { D3ZoomEvent, ZoomBehavior } from 'd3-zoom'
import type { FaceScale, Margins } from './useFaceScale'

/** How far the drawing is enlarged and moved: what lay at (x, y) px lies at (k x + x₀, k y + y₀). */
export interface View { k: number, x: number, y: number }
const WHOLE: View = { k: 1, x: 0, y: 0 }
const MOST = 12
const STEP = 1.5
const PAN_PX = 80

/** A scale under a view: places move apart while marks and text, which are drawn in px, keep their size. */
export const viewed = (scale: FaceScale, { k, x, y }: View): FaceScale => ({
  pxPerMm: scale.pxPerMm * k, left: scale.left * k + x, right: scale.right * k + x, top: scale.top * k + y, bottom: scale.bottom * k + y,
  x: mm => scale.x(mm) * k + x, y: mm => scale.y(mm) * k + y, xMm: px => scale.xMm((px - x) / k), yMm: px => scale.yMm((px - y) / k),
})

/** The part of the drawing between the tapes, px. */
export interface Window { left: number, right: number, top: number, bottom: number }
export const windowOf = (width: number, height: number, margins: Margins): Window => ({ left: margins.left, right: width - margins.right, top: 0, bottom: height - margins.bottom })

/**
 * Enlarges and moves a drawing by wheel, pinch, drag and keys; where `allowed` is false it stays whole.
 */
export function useFaceZoom(svg: Ref<SVGSVGElement | null>, width: Ref<number>, height: Ref<number>, allowed: () => boolean) {
  const view = shallowRef<View>(WHOLE)
  const loaded = shallowRef<{ element: SVGSVGElement, behavior: ZoomBehavior<SVGSVGElement, unknown>, select: typeof import('d3-selection')['select'], identity: import('d3-zoom').ZoomTransform } | null>(null)

  /** Fetched when a hand first comes to the drawing. */
  async function attach() {
    const element = svg.value
    if (!element || !allowed() || loaded.value?.element === element) return
    const [{ zoom, zoomIdentity }, { select }] = await Promise.all([import('d3-zoom'), import('d3-selection')])
    if (svg.value !== element || loaded.value?.element === element) return
    const behavior = zoom<SVGSVGElement, unknown>().scaleExtent([1, MOST])
      // A finger scrolls the page and a press selects until the drawing is enlarged; two fingers always take hold of it.
      .filter((event: MouseEvent | TouchEvent | WheelEvent) => event.type === 'wheel' || view.value.k > 1 ? !('button' in event && event.button) : 'touches' in event && event.touches.length > 1)
      .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => view.value = { k: transform.k, x: transform.x, y: transform.y })
    loaded.value = { element, behavior, select, identity: zoomIdentity }
    select(element).call(behavior).on('dblclick.zoom', null)
    fence()
  }
  for (const event of ['pointerenter', 'touchstart'] as const) useEventListener(svg, event, () => void attach(), { passive: true })
  /** The drawing can't be pushed out of its own frame. */
  const fence = () => loaded.value?.behavior.extent([[0, 0], [width.value, height.value]]).translateExtent([[0, 0], [width.value, height.value]])
  watch([width, height], () => {
    fence()
    // A chart that comes up below leaves less room: what is looked at stays in sight.
    if (view.value.k > 1) pan(0, 0)
  })

  const act = async (how: (at: NonNullable<typeof loaded.value>, element: SVGSVGElement) => void) => {
    await attach()
    if (loaded.value) how(loaded.value, loaded.value.element)
  }
  const by = (factor: number) => act(({ behavior, select }, element) => behavior.scaleBy(select(element), factor))
  const pan = (x: number, y: number) => act(({ behavior, select }, element) => behavior.translateBy(select(element), x / view.value.k, y / view.value.k))
  const fit = () => view.value.k > 1 ? act(({ behavior, select, identity }, element) => behavior.transform(select(element), identity)) : undefined
  const pans: Record<string, [number, number]> = { ArrowLeft: [PAN_PX, 0], ArrowRight: [-PAN_PX, 0], ArrowUp: [0, PAN_PX], ArrowDown: [0, -PAN_PX] }

  /** Keys of a drawing that has the focus; true where one was used. */
  function key(event: KeyboardEvent): boolean {
    const moves = event.ctrlKey || event.metaKey ? pans[event.key] : undefined
    if (moves) pan(...moves)
    else if (event.ctrlKey || event.metaKey || event.altKey) return false
    else if (event.key === '+' || event.key === '=') by(STEP)
    else if (event.key === '-') by(1 / STEP)
    else if (event.key === 'Home') fit()
    else return false
    event.preventDefault()
    event.stopPropagation()
    return true
  }
  return { view, larger: () => by(STEP), smaller: () => by(1 / STEP), fit, key }
}
