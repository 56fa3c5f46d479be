import {
  areaLight,
  colourOfArea,
  DomainError,
  pictureDensities,
  readCast,
  stripDensities,
  type Area,
  type ColourMaterial,
  type PictureReading,
} from '@selvrin/core'
import type { PictureMarks } from '@selvrin/core/contract'
import { expose } from 'comlink'

export interface Opened {
  width: number
  height: number
  /** what is shown and kept: upright, no larger than it needs to be, and nothing of where and with what it was taken */
  kept: Blob
}
export interface Problem {
  problem: string
}

/** Longest side of the picture that is shown and kept, px. */
const keptSide = 2400
const mostPixels = 60_000_000
let bitmap: ImageBitmap | null = null

/** The pixels of one area: only its own are taken out of the picture. */
function pixelsOf(picture: ImageBitmap, area: Area) {
  const [x, y] = [Math.round(area.x), Math.round(area.y)]
  const [width, height] = [Math.max(1, Math.round(area.x + area.width) - x), Math.max(1, Math.round(area.y + area.height) - y)]
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })
  if (!context) throw new DomainError('no-canvas', 'This browser cannot read pictures. Type what you see instead.')
  context.drawImage(picture, x, y, width, height, 0, 0, width, height)
  return [context.getImageData(0, 0, width, height, { colorSpace: 'srgb' }).data, width, { x: 0, y: 0, width, height }] as const
}

/** What is read off the picture that is open, in pixels of it; a problem where that cannot be. */
function readOff<T>(work: (pixels: (area: Area) => ReturnType<typeof pixelsOf>, inPixels: (area: Area) => Area) => T): T | Problem {
  const picture = bitmap
  if (!picture) return { problem: 'Open a picture first.' }
  const { width, height } = picture
  const inPixels = ({ x, y, width: w, height: h }: Area): Area => ({ x: x * width, y: y * height, width: w * width, height: h * height })
  try {
    return work((area) => pixelsOf(picture, area), inPixels)
  } catch (error) {
    if (error instanceof DomainError) return { problem: error.message }
    throw error
  }
}

/** Opens a picture and reads densities off it, away from the page. */
const pictures = {
  open: async (file: Blob, progress: (done: number, what: string) => void): Promise<Opened | Problem> => {
    progress(0.1, 'Opening the picture')
    let picture: ImageBitmap
    try {
      picture = await createImageBitmap(file, { imageOrientation: 'from-image', colorSpaceConversion: 'default' })
    } catch {
      return { problem: 'This is no picture that can be opened here. Save it as PNG or JPEG and try again.' }
    }
    const { width, height } = picture
    if (width * height > mostPixels) {
      picture.close()
      return { problem: `A picture may have ${mostPixels / 1e6} megapixels; this one has ${Math.round((width * height) / 1e6)}.` }
    }
    bitmap?.close()
    bitmap = picture
    progress(0.7, 'Making it ready to keep')
    const scale = Math.min(1, keptSide / Math.max(width, height))
    const small = new OffscreenCanvas(Math.round(width * scale), Math.round(height * scale))
    small.getContext('2d')?.drawImage(picture, 0, 0, small.width, small.height)
    const kept = await small.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
    progress(1, 'Ready')
    return { width, height, kept }
  },
  read: (marks: PictureMarks): PictureReading | Problem =>
    readOff((pixels, inPixels) =>
      pictureDensities((area) => areaLight(...pixels(area)), {
        empty: inPixels(marks.empty),
        fresh: inPixels(marks.fresh),
        scrap: inPixels(marks.scrap),
        ...(marks.base ? { base: inPixels(marks.base) } : {}),
        wedge: marks.wedge.map((step) => ({ area: inPixels(step.area), density: step.density })),
      }),
    ),
  strip: ({ paper, strip, bands }: { paper: Area; strip: Area; bands: number }): { densities: number[] } | Problem =>
    readOff((pixels, inPixels) => ({
      densities: stripDensities((area) => areaLight(...pixels(area)), { paper: inPixels(paper), strip: inPixels(strip), bands }),
    })),
  cast: ({ card, print, material }: { card: Area; print: Area; material: ColourMaterial }): ReturnType<typeof readCast> | Problem =>
    readOff((pixels, inPixels) =>
      readCast((area) => colourOfArea(...pixels(area)), { card: inPixels(card), print: inPixels(print), material }),
    ),
}
export type Pictures = typeof pictures
expose(pictures)
