import { DateTime } from 'luxon'
import { drumNames } from './drumNames'
import { wasteFamilies, type WasteFamily } from './drumIds'

/** Each family by its name; household cleaner is in none of the drums unless somebody poured it there. */
export const wasteNames: Readonly<Record<WasteFamily, string>> = { ...drumNames, chl: 'household cleaner' }

/** What left the darkroom's baths, as a line that stands: into a drum, or down the drain. */
export interface YearLine {
  /** ms */
  at: number
  family: WasteFamily
  ml: number
  /** g of the liquid; silver g */
  grams: number
  silverG: number
  drain: boolean
}

/** A family's year: what of it went where in each month, and in all. Volumes ml, masses g. */
export interface YearRow {
  family: WasteFamily
  drain: boolean
  months: { ml: number; grams: number }[]
  ml: number
  grams: number
  silverG: number
}

const sum = (values: number[]): number => values.reduce((all, one) => all + one, 0)

/**
 * The year of the waste by family and month, in the order of the families, what went down the drain after what went into drums. Only lines of that year of the calendar count.
 * @param zone IANA
 * @example
 * wasteYear([{ at: 0, family: 'dev', ml: 500, grams: 525, silverG: 0, drain: false }], 1970, 'UTC')[0].months[0] // → { ml: 500, grams: 525 }
 */
export function wasteYear(lines: YearLine[], year: number, zone: string): YearRow[] {
  const dated = lines.map((line) => ({ line, when: DateTime.fromMillis(line.at, { zone }) })).filter(({ when }) => when.year === year)
  return [false, true].flatMap((drain) =>
    wasteFamilies.flatMap((family) => {
      const own = dated.filter(({ line }) => line.drain === drain && line.family === family)
      if (own.length === 0) return []
      const months = Array.from({ length: 12 }, (_, i) => {
        const of = own.filter(({ when }) => when.month === i + 1).map(({ line }) => line)
        return { ml: sum(of.map((one) => one.ml)), grams: sum(of.map((one) => one.grams)) }
      })
      const of = own.map(({ line }) => line)
      return {
        ...{ family, drain, months, ml: sum(of.map((one) => one.ml)) },
        ...{ grams: sum(of.map((one) => one.grams)), silverG: sum(of.map((one) => one.silverG)) },
      }
    }),
  )
}
