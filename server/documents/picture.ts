import sharp from 'sharp'

/** Longest side of the small picture, px. */
const THUMBNAIL_PX = 360
/** Pictures of more than this many pixels are not opened: a small file can hide a huge one. */
const MOST_PIXELS = 80_000_000

const TYPES: Record<string, string> = { jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' }

/** A picture as it was looked at. */
export interface SeenPicture { contentType: string, widthPx: number, heightPx: number, thumbnail: Buffer }

/** What a picture really is, by its bytes, with a small copy turned upright; null when it is none that can be read. */
export async function lookAtPicture(bytes: Buffer): Promise<SeenPicture | null> {
  try {
    const image = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    const { format, width, height, orientation = 1 } = await image.metadata()
    const contentType = TYPES[format ?? '']
    if (!contentType || !width || !height) return null
    const thumbnail = await image.rotate().resize(THUMBNAIL_PX, THUMBNAIL_PX, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 78 }).toBuffer()
    // Orientations from 5 on lie on their side (EXIF 2.32, tag 274).
    return { contentType, thumbnail, widthPx: orientation >= 5 ? height : width, heightPx: orientation >= 5 ? width : height }
  }
  catch {
    return null
  }
}
