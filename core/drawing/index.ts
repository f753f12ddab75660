/** A face drawn to scale as plain data: from it the printed figure, the DXF and the SVG are made. */
export * from './figure'
