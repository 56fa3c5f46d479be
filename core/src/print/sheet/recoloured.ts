import { DomainError } from '../../error'
import { castTurns, oppositeOf, turned, type ColourMaterial } from '../colour/casts'
import { sheetsFactor, type FilterPack, type FilterWeights } from '../colour/pack'
import type { PrintExposure, PrintFilter, PrintSaid } from './tries'
import { saidSays, turnSays } from './words'

/** How colours are changed: by the dials of a head or by loose filters in a drawer, each of which costs light by itself. */
export interface ColourWay {
  by: 'pack'
  material: ColourMaterial
  weights: FilterWeights
  loose: boolean
}
export type ColourSaid = Extract<PrintSaid, { of: 'cast' } | { of: 'turn' }>
export const isColourSaid = (one: PrintSaid): one is ColourSaid => one.of === 'cast' || one.of === 'turn'

const why: Record<ColourMaterial, string> = {
  negative: 'paper for negatives: what it has too much of goes into the filter, or less of its opposite',
  reversal: 'paper for slides: what it has too much of comes out of the filter, or more of its opposite goes in',
}

function requirePack(filter: PrintFilter): FilterPack {
  if (filter.kind !== 'pack')
    throw new DomainError('no-colour', 'A print that was not exposed through yellow, magenta and cyan has no colours to change.')
  return filter
}

/** Two that take each other away are not both there: one of them was meant. */
function requireOneWay(all: ColourSaid[]): void {
  const named = all.flatMap((one) => (one.of === 'cast' ? [one.cast] : []))
  const both = named.find((cast) => named.includes(oppositeOf(cast)))
  if (both) throw new DomainError('opposite-casts', `A print is not too ${both} and too ${oppositeOf(both)} at once: say one of them.`)
}

/**
 * Exposures whose colours are changed by all that was said of them together, and each change in words.
 * @throws DomainError 'no-colour', 'opposite-casts', 'out-of-range'
 * @example
 * recoloured([{ seconds: 10, filter: { kind: 'pack', y: 60, m: 50, c: 0 } }], [{ of: 'cast', cast: 'red', units: 10 }], aColourWay).exposures[0].seconds // → 11.749
 */
export function recoloured(
  exposures: PrintExposure[],
  all: ColourSaid[],
  { material, weights, loose }: ColourWay,
): { exposures: PrintExposure[]; says: string[]; factor: number } {
  requireOneWay(all)
  const turns = all.map((one) => ({ one, by: one.of === 'turn' ? { y: one.y, m: one.m, c: 0 } : castTurns(one.cast, one.units, material) }))
  const by = turns.reduce((sum, { by: more }) => ({ y: sum.y + more.y, m: sum.m + more.m, c: sum.c + more.c }), { y: 0, m: 0, c: 0 })
  const changed = exposures.map(({ seconds, filter }) => {
    const before = requirePack(filter)
    const { factor, ...pack } = turned(before, by, weights)
    const times = factor * (loose ? sheetsFactor(before, pack) : 1)
    return { seconds: seconds * times, filter: { kind: 'pack' as const, ...pack }, factor: times, neutral: pack.y - before.y - by.y }
  })
  const [first] = changed
  const neutral = first?.neutral ?? 0
  const says = [
    ...turns.map(({ one, by: turn }) => `${saidSays(one, 1)}: ${turnSays(turn)}`),
    ...(turns.length > 0 ? [why[material]] : []),
    ...(neutral > 0.05 ? [`${turnSays({ y: neutral, m: neutral, c: neutral })}: no dial stands below 0`] : []),
    ...(neutral < -0.05 ? [`${turnSays({ y: neutral, m: neutral, c: neutral })}: all three together are only grey`] : []),
    ...(first && turns.length > 0 ? [`the filters take ×${first.factor.toFixed(2)} of the time`] : []),
  ]
  return { exposures: changed.map(({ seconds, filter }) => ({ seconds, filter })), says, factor: first?.factor ?? 1 }
}
