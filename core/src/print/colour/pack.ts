import { z } from 'zod'
import { DomainError, requirePositive } from '../../error'

const dial = z.number().min(0, 'A dial stands at 0 or more.').max(400, 'A dial stands at 400 at most.')
/** The filters a colour print is exposed through: yellow, magenta, cyan, in filter units (100 of them are a density of 1 for their light). */
export const filterPack = z.strictObject({ y: dial, m: dial, c: dial })
export type FilterPack = z.output<typeof filterPack>

/** How much of the exposure one unit of each dial costs, in hundredths of a density. */
export interface FilterWeights {
  y: number
  m: number
  c: number
}

/** Magenta costs most, cyan half of it, yellow hardly any; together they are a neutral grey. House default until a grey patch was matched. */
export const usualWeights: FilterWeights = { y: 0.1, m: 0.6, c: 0.3 }

/** What each sheet of a loose filter more costs by itself. Rounded literature value. */
const perSheet = 1.1
/** units loose filters come in; house default */
const looseUnits = [40, 20, 10, 5]

const dials = ['y', 'm', 'c'] as const

function requireDials(pack: FilterPack): void {
  for (const one of dials) if (!Number.isFinite(pack[one])) throw new DomainError('out-of-range', `A dial is a number, not ${pack[one]}.`)
}

/**
 * The factor of the exposure from one pack to another: 10^(Σ a·Δ/100), so that removing n of neutral is exactly 10^(−n/100) with the usual weights.
 * @throws DomainError 'out-of-range'
 * @example
 * packFactor({ y: 60, m: 50, c: 0 }, { y: 70, m: 60, c: 0 }) // → 1.1749
 */
export function packFactor(from: FilterPack, to: FilterPack, weights: FilterWeights = usualWeights): number {
  requireDials(from)
  requireDials(to)
  return 10 ** (dials.reduce((sum, one) => sum + weights[one] * (to[one] - from[one]), 0) / 100)
}

/** A pack that is wanted, none of whose dials is below 0 and one of which is at 0: it has the same colour. */
export function settled({ y, m, c }: FilterPack): FilterPack {
  const least = Math.min(y, m, c)
  // 0 exactly, whatever was subtracted
  const above = (dial: number): number => (dial === least ? 0 : dial - least)
  return { y: above(y), m: above(m), c: above(c) }
}

/**
 * A pack without the neutral density that all three dials make together, and the factor of the exposure.
 * @throws DomainError 'out-of-range'
 * @example
 * neutralRemoved({ y: 80, m: 60, c: 15 }) // → { y: 65, m: 45, c: 0, factor: 0.70795 }
 */
export function neutralRemoved(pack: FilterPack, weights: FilterWeights = usualWeights): FilterPack & { factor: number } {
  requireDials(pack)
  const next = settled(pack)
  return { ...next, factor: packFactor(pack, next, weights) }
}

/**
 * How many sheets of loose filters a pack is put together from, the largest first, to the nearest five units.
 * @example
 * sheetsOf({ y: 70, m: 60, c: 0 }) // → 5
 */
export function sheetsOf(pack: FilterPack): number {
  return dials.reduce((sheets, one) => {
    let left = 5 * Math.round(pack[one] / 5)
    return looseUnits.reduce((count, unit) => {
      const taken = Math.floor(left / unit)
      left -= taken * unit
      return count + taken
    }, sheets)
  }, 0)
}

/**
 * What more or fewer sheets of loose filters do to the exposure.
 * @example
 * sheetsFactor({ y: 60, m: 50, c: 0 }, { y: 70, m: 60, c: 0 }) // → 1.1
 */
export const sheetsFactor = (from: FilterPack, to: FilterPack): number => perSheet ** (sheetsOf(to) - sheetsOf(from))

/**
 * What one dial costs, from a grey patch matched in tone before and after so many units more on it: 100·log10(after/before)/units.
 * @throws DomainError 'out-of-range'
 * @example
 * filterWeight({ beforeS: 10, afterS: 13.18, units: 20 }) // → 0.59958
 */
export function filterWeight({ beforeS, afterS, units }: { beforeS: number; afterS: number; units: number }): number {
  requirePositive({ 'The exposure before': beforeS, 'The exposure after': afterS, 'The units turned': units })
  return (100 * Math.log10(afterS / beforeS)) / units
}
