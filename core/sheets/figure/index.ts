/** A face drawn to scale as the trades say it: from it the screen, the printed figure, the DXF and the SVG are made. */
export * from './figure'
