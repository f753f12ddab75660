import type { LayerStyle } from '../../trade'

/** How walls, one-line diagrams and the map of serial numbers look: they are no trade's layers of a face, and are drawn by the same hand. */
const plain: LayerStyle = { fill: null, stroke: '#22272e', width: 0.8, text: 8, ink: '#22272e', dxfColour: 7 }
export const groundLayers: { id: string, depth: number, style: LayerStyle }[] = [
  { id: 'serials', depth: 200, style: { ...plain, text: 6, dxfColour: 7 } },
  { id: 'wall', depth: 300, style: { ...plain, fill: '#faf8f2', width: 1.2, text: 8, ink: '#55575a', dxfColour: 8 } },
  { id: 'wall-blocks', depth: 301, style: { ...plain, fill: '#e4e0d6', stroke: '#6b6f76', width: 0.7, text: 7, ink: '#3b4149', dxfColour: 9 } },
  { id: 'wall-runs', depth: 302, style: { ...plain, stroke: '#1f4e8c', width: 1.4, text: 7, ink: '#1f4e8c', dxfColour: 5 } },
  { id: 'wall-there', depth: 303, style: { ...plain, fill: '#ffffff', stroke: '#22272e', width: 1, dash: [5, 3], text: 9, ink: '#22272e', dxfColour: 8 } },
  { id: 'wall-things', depth: 304, style: { ...plain, fill: '#ffffff', stroke: '#22272e', width: 1.6, text: 9, ink: '#22272e', dxfColour: 7 } },
  { id: 'wall-labels', depth: 305, style: { ...plain, text: 6, ink: '#8b1a12', dxfColour: 1 } },
  { id: 'site-roof', depth: 290, style: { ...plain, fill: '#f4f1e8', width: 1, dxfColour: 8 } },
  { id: 'site-modules', depth: 291, style: { ...plain, fill: '#c9d3de', stroke: '#3b4149', width: 0.4, dxfColour: 5 } },
  { id: 'site-words', depth: 292, style: { ...plain, width: 1.4, text: 9, dxfColour: 7 } },
  { id: 'line-runs', depth: 310, style: { ...plain, stroke: '#1f4e8c', width: 1.6, text: 9, ink: '#1f4e8c', dxfColour: 5 } },
  { id: 'line-there', depth: 311, style: { ...plain, fill: '#ffffff', width: 1, dash: [5, 3], dxfColour: 8 } },
  { id: 'line-things', depth: 312, style: { ...plain, fill: '#ffffff', width: 1.4, dxfColour: 7 } },
  { id: 'line-names', depth: 313, style: { ...plain, text: 10.5, dxfColour: 7 } },
  { id: 'line-ratings', depth: 314, style: { ...plain, text: 9, ink: '#3b4149', dxfColour: 8 } },
  { id: 'line-earth', depth: 315, style: { ...plain, stroke: '#2f6b3a', width: 1, dash: [4, 2], text: 7, ink: '#2f6b3a', dxfColour: 3 } },
]
