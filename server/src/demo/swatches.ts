import { ratioAt, type Bleaching, type SwatchBody } from '@selvrin/core'
import sharp from 'sharp'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

const dayMs = 86_400_000
type Rgb = [number, number, number]
/** image colour of a toned strip by its place on the dial, from yellow tan to cold dark brown; and of other toners */
const warm: Rgb = [168, 122, 62]
const cold: Rgb = [74, 55, 48]
const between = (share: number): Rgb => warm.map((one, i) => Math.round(one + share * ((cold[i] ?? 0) - one))) as Rgb

/** A made-up photograph of a strip: seven steps from paper white to the deepest tone. */
function stripPicture([r, g, b]: Rgb): Promise<Buffer> {
  const steps = Array.from({ length: 7 }, (_, i) => {
    const share = 0.08 + (0.92 * i) / 6
    const at = (deep: number): number => Math.round(244 + share * (deep - 244))
    return `<rect x="${20 + i * 100}" y="20" width="100" height="200" fill="rgb(${at(r)} ${at(g)} ${at(b)})"/>`
  })
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="740" height="240"><rect width="740" height="240" fill="#f4f1e8"/>${steps.join('')}</svg>`
  return sharp(Buffer.from(svg)).jpeg({ quality: 86 }).toBuffer()
}

interface Strip {
  body: SwatchBody
  colour: Rgb
}
const sulfide = (tone: number, bleaching: Bleaching, bleachS: number, toneS: number, paper: string, note = ''): Strip => ({
  body: {
    ...{ toner: bleaching === 'pulled' ? 'sulfide-pulled' : 'sulfide-complete', ratio: ratioAt(tone), dilution: null },
    ...{ bleaching, bleachS, toneS, paper, note },
  },
  // what was not bleached stays black
  colour: bleaching === 'pulled' ? (between(tone).map((one) => Math.round(0.55 * one)) as Rgb) : between(tone),
})
const other = (toner: 'selenium' | 'gold', dilution: number | null, toneS: number, colour: Rgb, paper: string): Strip => ({
  body: { toner, ratio: null, dilution, bleaching: null, bleachS: null, toneS, paper, note: '' },
  colour,
})
const strips: Strip[] = [
  sulfide(0, 'complete', 180, 75, 'Loft fibre, variable'),
  sulfide(0.25, 'complete', 195, 90, 'Loft fibre, variable', 'for the ferry series'),
  sulfide(0.5, 'complete', 200, 105, 'Loft fibre, variable'),
  sulfide(0.75, 'complete', 210, 140, 'Loft fibre, variable'),
  sulfide(1, 'complete', 210, 170, 'Loft fibre, variable'),
  sulfide(0.5, 'complete', 140, 80, 'Sluice satin, variable'),
  sulfide(0.5, 'pulled', 22, 90, 'Loft fibre, variable', 'lights only; the blacks stay'),
  other('selenium', 9, 240, [52, 38, 46], 'Loft fibre, variable'),
  other('gold', null, 900, [44, 52, 72], 'Millwheel fibre, grade 3'),
]

/** The demo's swatch book. */
export async function swatches(db: Database, { by, today }: { by: string; today: number }): Promise<void> {
  for (const [i, { body, colour }] of strips.entries()) {
    const at = today - (35 - i) * dayMs
    const id = uuid({ msecs: at })
    await db.Swatch.create({ id, at, byPerson: by, body })
    await db.SwatchPhoto.create({ swatchId: id, type: 'image/jpeg', bytes: await stripPicture(colour), at })
  }
}
