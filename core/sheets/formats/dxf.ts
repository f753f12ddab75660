import { DxfWriter, LWPolylineFlags, point3d, TextHorizontalAlignment, TextVerticalAlignment, Units } from '@tarikjabiri/dxf'
import { byDepth, type FaceFigure, styleOf } from '../figure'

const TEXT_MM = 110
const CROSS_MM = 45

/** The DXF layer of a figure's layer: `MODULES`, `KEEP_CLEAR`. */
export const dxfLayer = (layer: string): string => layer.toUpperCase().replace('-', '_')

/**
 * A face as an ASCII DXF in mm (`$INSUNITS` 4), in its own plane with the eave at the bottom, one named layer for each kind of
 * thing. The outline is the one closed polyline on OUTLINE, so that the face can be read in again from it.
 */
export function faceDxf({ layers }: FaceFigure): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const { layer, rings, lines, crosses, dots = [], texts } of byDepth(layers)) {
    const layerName = dxfLayer(layer)
    dxf.addLayer(layerName, styleOf(layer).dxfColour, 'Continuous')
    for (const ring of rings) dxf.addLWPolyline(ring.map(point => ({ point })), { flags: LWPolylineFlags.Closed, layerName })
    for (const [a, b] of lines) dxf.addLine(point3d(a.x, a.y, 0), point3d(b.x, b.y, 0), { layerName })
    for (const { x, y } of crosses) {
      dxf.addPoint(x, y, 0, { layerName })
      dxf.addLine(point3d(x - CROSS_MM, y - CROSS_MM, 0), point3d(x + CROSS_MM, y + CROSS_MM, 0), { layerName })
      dxf.addLine(point3d(x - CROSS_MM, y + CROSS_MM, 0), point3d(x + CROSS_MM, y - CROSS_MM, 0), { layerName })
    }
    for (const { x, y } of dots) dxf.addPoint(x, y, 0, { layerName })
    for (const { at, text } of texts) {
      dxf.addText(point3d(at.x, at.y, 0), TEXT_MM, text, {
        layerName,
        horizontalAlignment: TextHorizontalAlignment.Center,
        verticalAlignment: TextVerticalAlignment.Middle,
        secondAlignmentPoint: point3d(at.x, at.y, 0),
      })
    }
  }
  return dxf.stringify()
}
