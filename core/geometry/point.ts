/** A point in the face's plane, mm. */
export interface Point { x: number, y: number }
/** A closed ring of points; outer rings run anticlockwise, holes clockwise. */
export type Ring = Point[]
/** One or more rings, with holes told by their direction. */
export type Region = Ring[]
