import { pictureBytes } from '@selvrin/core/contract'
import { Refusal } from '../http/refusal'

type PictureType = 'image/png' | 'image/jpeg'

const pngStart = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]
const jpegStart = [0xff, 0xd8, 0xff]
const begins = (bytes: Buffer, start: number[]) => start.every((byte, i) => bytes[i] === byte)

/** A photograph to keep with a test: its kind by content, its metadata (place, camera, time) taken out. What is no PNG or JPEG, or too large, is refused. */
export function readPicture(base64: string): { type: PictureType; bytes: Buffer } {
  const bytes = Buffer.from(base64, 'base64')
  if (bytes.length > pictureBytes)
    throw new Refusal(413, 'too-large', `A picture may have ${pictureBytes / 1e6} MB; this one has ${(bytes.length / 1e6).toFixed(1)} MB.`)
  const kept = begins(bytes, jpegStart) ? stripJpeg(bytes) : begins(bytes, pngStart) ? stripPng(bytes) : null
  if (!kept) throw new Refusal(422, 'not-a-picture', 'This is no PNG or JPEG picture that can be read. Save it as one of these.')
  return { type: begins(bytes, pngStart) ? 'image/png' : 'image/jpeg', bytes: kept }
}

/** JPEG segments that carry no picture: APP1 to APP13, APP15 and comments; JFIF (APP0) and the colour transform (APP14) stay. */
const isJpegMetadata = (marker: number): boolean => (marker >= 0xe1 && marker <= 0xed) || marker === 0xef || marker === 0xfe
const startOfScan = 0xda

function stripJpeg(bytes: Buffer): Buffer | null {
  const kept: Buffer[] = [bytes.subarray(0, 2)]
  let at = 2
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return null
    const marker = bytes[at + 1] ?? 0
    const end = at + 2 + bytes.readUInt16BE(at + 2)
    if (end > bytes.length || end < at + 4) return null
    // behind the start of scan there is nothing but the picture
    if (marker === startOfScan) return Buffer.concat([...kept, bytes.subarray(at)])
    if (!isJpegMetadata(marker)) kept.push(bytes.subarray(at, end))
    at = end
  }
  return null
}

/** The PNG chunks a picture needs to be shown as it was. */
const pngChunks = ['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'cHRM', 'sRGB']

function stripPng(bytes: Buffer): Buffer | null {
  const kept: Buffer[] = [bytes.subarray(0, 8)]
  let at = 8
  while (at + 12 <= bytes.length) {
    const end = at + 12 + bytes.readUInt32BE(at)
    const name = bytes.toString('latin1', at + 4, at + 8)
    if (end > bytes.length) return null
    if (pngChunks.includes(name)) kept.push(bytes.subarray(at, end))
    if (name === 'IEND') return Buffer.concat(kept)
    at = end
  }
  return null
}
