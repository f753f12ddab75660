/** One face as an SVG drawing. */
export default defineEventHandler(event => sendFace(event, 'faceSvg', 'drawing.svg', 'image/svg+xml'))
