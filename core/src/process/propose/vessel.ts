import { coversOf, loadKindOf } from '../vesselCover'
import type { Tank } from '../shelf'

type ForKind = Tank['kind'] | undefined

/**
 * How many films of a format a vessel takes.
 * @example
 * filmsIn({ kind: 'hand', coversMl: [300, 600, 1000] }, '120') // → 2
 */
export const filmsIn = (vessel: Pick<Tank, 'kind' | 'coversMl'> & Partial<Tank>, format: string): number =>
  coversOf(vessel)[loadKindOf(format)].length

/**
 * Vessels that take a format, of the kind a process is for, those made for it first.
 * @example
 * vesselsFor([{ id: 't', name: 'T', kind: 'hand', reels: 1, coversMl: [300], carryMl: null }], '135-36', 'rotary') // → []
 */
export const vesselsFor = <V extends Tank>(vessels: V[], format: string, kind?: ForKind): V[] => {
  const madeFor = (vessel: V): number => ((vessel.format ?? '135') === loadKindOf(format) ? 0 : 1)
  return vessels
    .filter((vessel) => filmsIn(vessel, format) > 0 && (kind === undefined || vessel.kind === kind))
    .sort((a, b) => madeFor(a) - madeFor(b))
}

/**
 * The first vessel that takes that many films of a format.
 * @example
 * vesselFor([], '120', { films: 1 }) // → null
 */
export const vesselFor = <V extends Tank>(vessels: V[], format: string, { films, kind }: { films: number; kind?: ForKind }): V | null =>
  vesselsFor(vessels, format, kind).find((vessel) => filmsIn(vessel, format) >= films) ?? null
