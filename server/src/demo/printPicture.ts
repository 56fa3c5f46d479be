import { madeUpPicture, rendered, type LayerShift, type PrintOutline, type PrintSaid } from '@selvrin/core'
import sharp from 'sharp'

/** where the places of the demo's prints lie */
const areas: Record<string, Omit<PrintOutline[number], 'name'>> = {
  sky: { shape: 'straight', x: 0, y: 0, width: 1, height: 0.34 },
  corner: { shape: 'straight', x: 0.72, y: 0.68, width: 0.28, height: 0.32 },
  face: { shape: 'round', x: 0.42, y: 0.18, width: 0.2, height: 0.34 },
  foreground: { shape: 'straight', x: 0, y: 0.66, width: 1, height: 0.34 },
}

/** Where the places lie that something was said of. */
export const outlineOf = (said: PrintSaid[]): PrintOutline =>
  [...new Set(said.flatMap((one) => (one.of === 'place' ? [one.name] : [])))].flatMap((name) => {
    const area = areas[name]
    return area ? [{ name, ...area }] : []
  })

/** A made-up photograph of a print: a sluice gate over low water, in greys. */
export const printPicture = (): Promise<Buffer> =>
  sharp(
    Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600">
      <defs>
        <linearGradient id="sky" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#8d8d8d"/><stop offset="1" stop-color="#dadada"/></linearGradient>
        <linearGradient id="water" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#b4b4b4"/><stop offset="1" stop-color="#4a4a4a"/></linearGradient>
      </defs>
      <rect width="900" height="250" fill="url(#sky)"/>
      <path d="M0 250 C150 215 300 240 460 228 S760 205 900 236 V270 H0 Z" fill="#6c6c6c"/>
      <rect y="262" width="900" height="338" fill="url(#water)"/>
      <path d="M0 470 C200 440 320 520 520 480 S780 470 900 500 V600 H0 Z" fill="#333"/>
      <g fill="#1d1d1d"><rect x="330" y="120" width="26" height="340"/><rect x="560" y="120" width="26" height="340"/>
      <rect x="310" y="112" width="296" height="26"/><rect x="356" y="250" width="204" height="170" fill="#2b2b2b"/></g>
      <g stroke="#555" stroke-width="6"><path d="M356 290 H560 M356 330 H560 M356 370 H560"/></g>
      <circle cx="458" cy="92" r="38" fill="none" stroke="#1d1d1d" stroke-width="10"/>
      <g stroke="#cfcfcf" stroke-width="3" opacity=".6"><path d="M40 330 H200 M90 352 H260 M640 318 H840 M610 344 H760"/></g>
    </svg>`),
  )
    .jpeg({ quality: 82 })
    .toBuffer()

/** A made-up photograph of a colour print, its layers so much denser than they should be. */
export function colourPicture(scene: number, by: LayerShift): Promise<Buffer> {
  const [width, height] = [300, 200]
  const rgba = rendered(madeUpPicture(scene, { width, height }), by)
  return sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: 86 })
    .toBuffer()
}
