import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { lookAtPicture } from './picture'

const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#808a94' } })

describe('a picture that came in', () => {
  it.each([['jpeg', 'image/jpeg'], ['png', 'image/png'], ['webp', 'image/webp']] as const)('%s is known by its bytes and gets a small copy', async (format, contentType) => {
    const seen = (await lookAtPicture(await plain(1200, 900).toFormat(format).toBuffer()))!
    expect(seen).toMatchObject({ contentType, widthPx: 1200, heightPx: 900 })
    const small = await sharp(seen.thumbnail).metadata()
    expect([small.format, small.width, small.height]).toEqual(['jpeg', 360, 270])
  })
  it('that lies on its side is told upright, small copy too', async () => {
    const seen = (await lookAtPicture(await plain(1200, 900).jpeg().withMetadata({ orientation: 6 }).toBuffer()))!
    expect([seen.widthPx, seen.heightPx]).toEqual([900, 1200])
    const small = await sharp(seen.thumbnail).metadata()
    expect([small.width, small.height]).toEqual([270, 360])
  })
  it('smaller than the copy stays as it is', async () => {
    const small = await sharp((await lookAtPicture(await plain(40, 30).png().toBuffer()))!.thumbnail).metadata()
    expect([small.width, small.height]).toEqual([40, 30])
  })
  it.each<[string, () => Promise<Buffer> | Buffer]>([
    ['noise', () => Buffer.from('not a picture at all')], ['nothing', () => Buffer.alloc(0)], [
      'a torn file',
      async () => (await plain(800, 600).jpeg().toBuffer()).subarray(0, 900),
    ],
    ['a kind that is not kept', () => plain(20, 20).gif().toBuffer()], ['drawn by code', () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')],
  ])('%s is none', async (_, bytes) => expect(await lookAtPicture(await bytes())).toBeNull())
})
