import type { LoadsLayout } from './layout'
import { zonesLayer } from './zones-layer'
import type { FaceShown } from '../trade'

/** What of it is drawn, taken hold of and worked out before eyes. */
export const loadsShown = {
  layers: [zonesLayer],
  workings: ({ plan }) => plan.loading.loads?.workings ?? [],
} satisfies FaceShown<LoadsLayout>
