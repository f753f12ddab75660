import { z } from 'zod'
import { freeText } from './schema'

/** Limits on a job's photographs, the same on the page, on the server and in the database. */
export const MOST_PHOTO_BYTES = 12 * 1024 * 1024
export const MOST_PHOTOS = 60
export const photoTypes = ['image/jpeg', 'image/png', 'image/webp'] as const

export const captionSchema = freeText('The caption', 200)

/** A photograph of the site, without its picture. */
export const photographSchema = z.object({
  photoId: z.uuid(), caption: captionSchema, widthPx: z.number().int(), heightPx: z.number().int(), takenInAt: z.string(), personName: z.string(),
})
export type Photograph = z.infer<typeof photographSchema>

export const isPhotoType = (type: string): boolean => photoTypes.some(one => one === type)

/** Why a file can't be taken as a photograph; null when it may. The server looks inside it too. */
export function photoProblem(type: string, bytes: number): string | null {
  if (!isPhotoType(type)) return 'Photographs are JPEG, PNG or WebP pictures; this file is something else.'
  if (bytes > MOST_PHOTO_BYTES) return `This picture has ${(bytes / 1024 / 1024).toFixed(0)} MB; ${MOST_PHOTO_BYTES / 1024 / 1024} MB is the most. Take it at a lower setting or send it smaller.`
  return bytes ? null : 'This file is empty.'
}
