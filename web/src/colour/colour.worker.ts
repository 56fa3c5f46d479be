import {
  madeUpPicture,
  recast,
  rendered,
  ringAround,
  ringLayers,
  type ColourMaterial,
  type LayerShift,
  type MadeUpPicture,
} from '@selvrin/core'
import { expose, transfer } from 'comlink'

/** Pixels as RGBA bytes. */
export interface Pixels {
  rgba: Uint8ClampedArray<ArrayBuffer>
  width: number
  height: number
}
const sent = (pictures: Pixels[]): Pixels[] =>
  transfer(
    pictures,
    pictures.map((one) => one.rgba.buffer),
  )

let last: { index: number; picture: MadeUpPicture } | null = null
function pictureAt(index: number, width: number, height: number): MadeUpPicture {
  if (last?.index !== index || last.picture.width !== width || last.picture.height !== height)
    last = { index, picture: madeUpPicture(index, { width, height }) }
  return last.picture
}

/** Pictures in colours worked out pixel by pixel, away from the page. */
const colours = {
  /** A made-up picture, once for each way its layers are shifted. */
  madeUp: (index: number, width: number, height: number, layers: LayerShift[]): Pixels[] => {
    const picture = pictureAt(index, width, height)
    return sent(layers.map((by) => ({ rgba: rendered(picture, by), width, height })))
  },
  /** The ring-around of a photograph, in the order of its places, `side` px on its longer side. */
  ring: async (photo: Blob, side: number, material: ColourMaterial): Promise<Pixels[] | { problem: string }> => {
    const whole = await createImageBitmap(photo, { imageOrientation: 'from-image' }).catch(() => null)
    if (!whole) return { problem: 'The photograph cannot be opened here. Take another one.' }
    const scale = Math.min(1, side / Math.max(whole.width, whole.height))
    const [width, height] = [Math.max(1, Math.round(whole.width * scale)), Math.max(1, Math.round(whole.height * scale))]
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })
    if (!context) return { problem: 'This browser cannot work pictures out.' }
    context.drawImage(whole, 0, 0, width, height)
    whole.close()
    const { data } = context.getImageData(0, 0, width, height, { colorSpace: 'srgb' })
    return sent(ringAround().map((place) => ({ rgba: recast(data, ringLayers(place, material)), width, height })))
  },
}
export type Colours = typeof colours
expose(colours)
