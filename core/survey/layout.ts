import type { ChosenParts } from '../catalogue'
import type { FaceShape } from '../roof'

/** What is known of a face before anything is planned on it: its shape, and what its array is built from. */
export interface SurveyLayout {
  faceId: string
  parts: ChosenParts
  shape: FaceShape
}
