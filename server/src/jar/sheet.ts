import type { sheetTypes } from '@selvrin/core/contract'
import { Refusal } from '../http/refusal'
import { readPicture } from '../proof/picture'

type SheetType = (typeof sheetTypes)[number]

/** What a file is by its first bytes, whatever its name says. */
const signatures: [SheetType, number[]][] = [
  ['application/pdf', [0x25, 0x50, 0x44, 0x46, 0x2d]],
  ['image/png', [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]],
  ['image/jpeg', [0xff, 0xd8, 0xff]],
]

/**
 * The bytes and kind of an attached safety sheet. A picture of one is made anew from its pixels, so that it says nothing of where it was taken; a PDF is kept as the
 * supplier made it. What is no PDF, PNG or JPEG is refused.
 */
export async function readSheet(bytes: Buffer): Promise<{ type: SheetType; bytes: Buffer }> {
  const type = signatures.find(([, start]) => start.every((byte, i) => bytes[i] === byte))?.[0]
  if (!type)
    throw new Refusal(422, 'not-a-sheet', 'This is neither a PDF nor a PNG or JPEG picture. Attach the supplier’s sheet as one of these.')
  return type === 'application/pdf' ? { type, bytes } : readPicture(bytes)
}
