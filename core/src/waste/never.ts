import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import { whatNeverMeets } from '../meeting/whatNeverMeets'
import type { WasteFamily } from './drumIds'
import { freedMoles, gasPpm, type Held } from './gas'
import { meeting, reactions } from './meeting'

/** Liquid that is poured, or stands where it is poured. */
export interface Liquid {
  family: WasteFamily
  ml: number
  /** g of products in it; null where nobody knows */
  contents: Held[] | null
}

/** Two liquids that never meet. */
export interface Block {
  /** number of its row in the families' table; null where only chemistry says so */
  reaction: number | null
  what: string
  danger: string
  /** ppm in the room if all of it was freed; null where that is not known */
  ppm: number | null
  idlhPpm: number | null
}

/** The gas of a row of what never meets, by the number of the same gas in the families' table. */
const gasOf: Record<string, number> = { 'never-1': 1, 'never-2': 3, 'never-3': 3, 'never-4': 4, 'never-5': 2, 'never-6': 5, 'never-7': 5 }

/** By what is in them, in the order in which they come together. */
function byChemistry(there: Liquid, poured: Liquid, catalogue: Catalogue): { reaction: number | null; what: string } | null {
  const litres = (there.ml + poured.ml) / 1000
  const known = [...(there.contents ?? []), ...(poured.contents ?? [])].filter((one) => catalogue[one.chemical] !== undefined)
  if (!(litres > 0) || known.length === 0) return null
  const [worst] = whatNeverMeets(
    known.map(({ chemical, grams }) => ({ chemical, gramsPerLitre: grams / litres, form: 'solution' })),
    {},
    catalogue,
  )
  if (!worst) return null
  const [one, other] = [worst.one, worst.other].map((id) => chemicalOf(id, catalogue).name)
  return { reaction: gasOf[worst.rule] ?? null, what: `${worst.danger} (${one} with ${other})` }
}

/**
 * What comes of pouring one liquid onto another, by the table of the families and by what is in them, whichever is stricter; null where they may meet. `roomM3`: the air it
 * would be in, m³; null where nobody measured the room.
 * @example
 * neverMeets({ family: 'sil', ml: 1000, contents: null }, { family: 'acid', ml: 100, contents: null }, { roomM3: null })?.reaction // → 2
 */
export function neverMeets(
  there: Liquid,
  poured: Liquid,
  { roomM3, catalogue = builtIn }: { roomM3: number | null; catalogue?: Catalogue },
): Block | null {
  const { verdict, reaction: byFamily } = meeting(there.family, poured.family)
  const chemistry = byChemistry(there, poured, catalogue)
  const reaction = byFamily ?? chemistry?.reaction ?? null
  if (verdict !== 'block' && chemistry === null) return null
  const row = reaction === null ? null : (reactions[reaction - 1] ?? null)
  const held = [...(there.contents ?? []), ...(poured.contents ?? [])]
  const moles = reaction === null ? null : freedMoles(reaction, held, catalogue)
  return {
    reaction: byFamily ?? null,
    what: byFamily !== undefined && row ? row.what : (chemistry?.what ?? row?.what ?? ''),
    danger: row?.danger ?? '',
    ppm: moles === null || roomM3 === null ? null : gasPpm({ moles, roomM3 }),
    idlhPpm: row?.idlhPpm ?? null,
  }
}

const figure = (ppm: number): string =>
  ppm >= 1000 ? String(Number(ppm.toPrecision(2))) : ppm >= 10 ? String(Math.round(ppm)) : ppm.toPrecision(2)
/**
 * A block in words: what would come of it, how much in this room, what to do.
 * @example
 * blockWords({ reaction: 1, what: 'hydrogen sulfide', danger: 'kills', ppm: 69.6, idlhPpm: 100 }) // → 'Never: hydrogen sulfide, which kills. All of it would be 70 ppm in this room; 100 are dangerous to life at once. Close both, ventilate, and take a drum of its own.'
 */
export function blockWords({ what, danger, ppm, idlhPpm }: Block): string {
  const limit = idlhPpm === null ? '' : `; ${idlhPpm} are dangerous to life at once`
  const much = ppm === null ? '' : ` All of it would be ${figure(ppm)} ppm in this room${limit}.`
  return `Never: ${what}${danger === '' ? '' : `, which ${danger}`}.${much} Close both, ventilate, and take a drum of its own.`
}
