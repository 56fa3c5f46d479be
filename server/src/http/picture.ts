import sharp from 'sharp'
import { notFound, Refusal } from '../house/refusal'

/** Pixels a photograph may have: a phone's, and no more than can be taken apart in memory. */
const mostPixels = 60_000_000
const jpegQuality = 92

/**
 * A photograph to keep with a test, made anew from its pixels: nothing of where, when and with what it was taken is left anywhere in the file. It stands upright.
 * What is no PNG or JPEG that can be read is refused.
 */
export async function readPicture(bytes: Buffer): Promise<{ type: 'image/png' | 'image/jpeg'; bytes: Buffer }> {
  const refused = new Refusal(422, 'not-a-picture', 'This is no PNG or JPEG picture that can be read. Save it as one of these.')
  try {
    const picture = sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error' })
    const { format } = await picture.metadata()
    if (format !== 'png' && format !== 'jpeg') throw refused
    const upright = picture.rotate()
    // sharp writes no metadata unless it is told to
    return format === 'png'
      ? { type: 'image/png', bytes: await upright.png().toBuffer() }
      : { type: 'image/jpeg', bytes: await upright.jpeg({ quality: jpegQuality }).toBuffer() }
  } catch (error) {
    throw error instanceof Refusal ? error : refused
  }
}

export type KeptPicture = Awaited<ReturnType<typeof readPicture>>

/** The photograph that was sent, made anew from its pixels, before anything is locked. */
export function sentPicture(upload: { bytes: Buffer } | null | undefined): Promise<KeptPicture> {
  if (!upload) throw new Refusal(400, 'not-a-form', 'Take or choose the photograph.')
  return readPicture(upload.bytes)
}

/** A photograph as it is given out, under a name. */
export function pictureNamed(name: string, photo: KeptPicture | null): { name: string; type: string; bytes: Buffer } {
  if (!photo) throw notFound('photograph')
  return { name, type: photo.type, bytes: photo.bytes }
}
