import type { RowsLayout } from '../rows'
import type { FaceLoading } from './face'

/** The face with what loads it, or why that can't be said. */
export interface LoadsLayout extends RowsLayout { loading: FaceLoading }
