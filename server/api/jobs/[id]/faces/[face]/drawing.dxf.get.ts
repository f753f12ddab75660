/** One face as a DXF drawing with named layers. */
export default defineEventHandler(event => sendFace(event, 'faceDxf', 'drawing.dxf', 'image/vnd.dxf'))
