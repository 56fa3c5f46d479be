import { DomainError } from '../../error'
import { packFactor, settled, usualWeights, type FilterPack, type FilterWeights } from './pack'

/** What a print can have too much of: three dyes, and the colours that two of them make. */
export const casts = ['yellow', 'magenta', 'cyan', 'red', 'green', 'blue'] as const
export type Cast = (typeof casts)[number]
/** Paper that prints from negatives, and paper that prints from slides. */
export const colourMaterials = ['negative', 'reversal'] as const
export type ColourMaterial = (typeof colourMaterials)[number]

/** Amounts as they are seen, in units. Rounded literature values. */
export const castAmounts = [
  { units: 5, name: 'barely seen' },
  { units: 10, name: 'slight' },
  { units: 20, name: 'plain' },
  { units: 40, name: 'strong' },
] as const

/** Of each cast what the filter gets in one unit of it; cyan is filtered by what is not yellow and magenta, so that its dial stays at 0. */
const ways: Record<Cast, FilterPack> = {
  yellow: { y: 1, m: 0, c: 0 },
  magenta: { y: 0, m: 1, c: 0 },
  cyan: { y: -1, m: -1, c: 0 },
  red: { y: 1, m: 1, c: 0 },
  green: { y: 0, m: -1, c: 0 },
  blue: { y: -1, m: 0, c: 0 },
}

const opposites: Record<Cast, Cast> = { yellow: 'blue', blue: 'yellow', magenta: 'green', green: 'magenta', cyan: 'red', red: 'cyan' }
/**
 * The cast that takes another away.
 * @example
 * oppositeOf('red') // → 'cyan'
 */
export const oppositeOf = (cast: Cast): Cast => opposites[cast]

/**
 * By how much the dials are turned for a cast: on paper for negatives a print too X gets more X in the filter or less of its complement, on reversal paper the other way.
 * @throws DomainError 'out-of-range'
 * @example
 * castTurns('red', 10, 'negative') // → { y: 10, m: 10, c: 0 }
 */
export function castTurns(cast: Cast, units: number, material: ColourMaterial): FilterPack {
  if (!Number.isFinite(units) || units < 0) throw new DomainError('out-of-range', `A cast has 0 units or more, not ${units}.`)
  const by = material === 'negative' ? units : -units
  const { y, m, c } = ways[cast]
  // without −0
  return { y: y * by || 0, m: m * by || 0, c: c * by || 0 }
}

/**
 * A pack with its dials turned, by more or less than they hold: neutral is removed, and what a dial lacks to stand at 0 all three are given. With the factor of the exposure.
 * @throws DomainError 'out-of-range'
 * @example
 * turned({ y: 5, m: 50, c: 0 }, { y: -10, m: 0, c: 0 }) // → { y: 0, m: 55, c: 5, factor: 1.0965 }
 */
export function turned(pack: FilterPack, by: FilterPack, weights: FilterWeights = usualWeights): FilterPack & { factor: number } {
  const next = settled({ y: pack.y + by.y, m: pack.m + by.m, c: pack.c + by.c })
  return { ...next, factor: packFactor(pack, next, weights) }
}

/**
 * The pack for a print that has a cast of so many units, neutral removed and no dial below 0, and the factor of the exposure.
 * @throws DomainError 'out-of-range'
 * @example
 * filterChange({ pack: { y: 60, m: 50, c: 0 }, cast: 'red', units: 10, material: 'negative' }) // → { y: 70, m: 60, c: 0, factor: 1.1749 }
 */
export function filterChange({
  pack,
  cast,
  units,
  material,
  weights = usualWeights,
}: {
  pack: FilterPack
  cast: Cast
  units: number
  material: ColourMaterial
  weights?: FilterWeights | undefined
}): FilterPack & { factor: number } {
  return turned(pack, castTurns(cast, units, material), weights)
}
