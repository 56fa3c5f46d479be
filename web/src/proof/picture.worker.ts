import { DomainError, pictureDensities, type Area, type PictureReading } from '@selvrin/core'
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
let rgba = new Uint8ClampedArray(0)
let [width, height] = [0, 0]

/** Opens a picture and reads densities off it, away from the page. */
const pictures = {
  open: async (file: Blob, progress: (done: number, what: string) => void): Promise<Opened | Problem> => {
    progress(0.1, 'Opening the picture')
    let bitmap: ImageBitmap
    try {
      bitmap = await createImageBitmap(file, { imageOrientation: 'from-image', colorSpaceConversion: 'default' })
    } catch {
      return { problem: 'This is no picture that can be opened here. Save it as PNG or JPEG and try again.' }
    }
    ;[width, height] = [bitmap.width, bitmap.height]
    if (width * height > mostPixels)
      return { problem: `A picture may have ${mostPixels / 1e6} megapixels; this one has ${Math.round((width * height) / 1e6)}.` }
    progress(0.4, 'Reading its light')
    const canvas = new OffscreenCanvas(width, height)
    const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })
    if (!context) return { problem: 'This browser cannot read pictures. Type the densities instead.' }
    context.drawImage(bitmap, 0, 0)
    rgba = context.getImageData(0, 0, width, height, { colorSpace: 'srgb' }).data
    progress(0.8, 'Making it ready to keep')
    const scale = Math.min(1, keptSide / Math.max(width, height))
    const small = new OffscreenCanvas(Math.round(width * scale), Math.round(height * scale))
    small.getContext('2d')?.drawImage(bitmap, 0, 0, small.width, small.height)
    bitmap.close()
    const kept = await small.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
    progress(1, 'Ready')
    return { width, height, kept }
  },
  read: (marks: PictureMarks): PictureReading | Problem => {
    const inPixels = (area: Area): Area => ({
      x: area.x * width,
      y: area.y * height,
      width: area.width * width,
      height: area.height * height,
    })
    try {
      return pictureDensities(rgba, width, {
        empty: inPixels(marks.empty),
        fresh: inPixels(marks.fresh),
        scrap: inPixels(marks.scrap),
        wedge: marks.wedge.map((step) => ({ area: inPixels(step.area), density: step.density })),
      })
    } catch (error) {
      if (error instanceof DomainError) return { problem: error.message }
      throw error
    }
  },
}
export type Pictures = typeof pictures
expose(pictures)
