import { Semaphore } from 'es-toolkit'
import sharp from 'sharp'

/** Longest side of the small picture, px. */
const THUMBNAIL_PX = 360
/** Pictures of more than this many pixels are not opened: a small file can hide a huge one. */
const MOST_PIXELS = 80_000_000
/** A picture that is packed anew looks the same at this quality. */
const QUALITY = 92
/** An opened picture takes forty times its file: one at a time. */
const turn = new Semaphore(1)

const TYPES: Record<string, string> = { jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' }

/** A picture as it was looked at, without what a camera writes into it beside: where it was taken is nobody's business. */
export interface SeenPicture { contentType: string, widthPx: number, heightPx: number, picture: Buffer, thumbnail: Buffer }

/**
 * What a picture really is, by its bytes, with a small copy turned upright; null when it is none that can be read. One that carries
 * notes of the camera (EXIF, XMP, IPTC) is packed anew without them, upright; any other stays as it is.
 */
export async function lookAtPicture(bytes: Buffer): Promise<SeenPicture | null> {
  await turn.acquire()
  try {
    const image = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    const { format, width, height, orientation = 1, exif, xmp, iptc } = await image().metadata()
    const contentType = TYPES[format ?? '']
    if (!contentType || !width || !height) return null
    const thumbnail = await image().rotate().resize(THUMBNAIL_PX, THUMBNAIL_PX, { fit: 'inside', withoutEnlargement: true }).jpeg({ quality: 78 }).toBuffer()
    const picture = exif || xmp || iptc ? await image().rotate().toFormat(format as 'jpeg' | 'png' | 'webp', { quality: QUALITY }).toBuffer() : bytes
    // Orientations from 5 on lie on their side (EXIF 2.32, tag 274).
    return { contentType, thumbnail, picture, widthPx: orientation >= 5 ? height : width, heightPx: orientation >= 5 ? width : height }
  }
  catch {
    return null
  }
  finally {
    turn.release()
  }
}
