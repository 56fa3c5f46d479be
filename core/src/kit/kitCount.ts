import type { Finding } from '../finding'
import type { KitBody } from './kitBody'

/** A roll that went through, as its leaflet counts it. */
export interface KitFilm {
  /** what it was exposed at; null where nobody knows: it counts as the slowest */
  ei: number | null
  rolls: number
}

export interface KitCount {
  /** share of what it is good for */
  used: number
  /** rolls that went through its baths */
  rolls: number
  /** of the slowest films it still takes */
  rollsLeft: number
}

/** Rolls a kit is good for, of film exposed at an index. */
const goodFor = (capacity: KitBody['capacity'], ei: number | null): number => {
  const fits = capacity.filter((one) => ei !== null && ei >= one.fromEi).at(-1) ?? capacity[0]
  return fits?.rolls ?? Infinity
}

/**
 * What a kit has behind it: its baths share one count, which is that of the bath most went through, so that one that was replaced begins nothing anew.
 * @param baths films that went through each of its bottles, retired ones too
 * @example
 * kitCount([{ fromEi: 1, rolls: 16 }, { fromEi: 400, rolls: 12 }], [[{ ei: 100, rolls: 4 }, { ei: 400, rolls: 3 }], [{ ei: 100, rolls: 4 }]]) // → { used: 0.5, rolls: 7, rollsLeft: 8 }
 */
export function kitCount(capacity: KitBody['capacity'], baths: KitFilm[][]): KitCount {
  const most = baths
    .map((films) => ({
      used: films.reduce((sum, film) => sum + film.rolls / goodFor(capacity, film.ei), 0),
      rolls: films.reduce((sum, film) => sum + film.rolls, 0),
    }))
    .reduce((best, one) => (one.used > best.used ? one : best), { used: 0, rolls: 0 })
  return { used: Math.min(1, most.used), rolls: most.rolls, rollsLeft: Math.max(0, 1 - most.used) * goodFor(capacity, null) }
}

const enough = 1 - 1e-9
const little = 0.85

/**
 * What its kit has against a bottle: the leaflet's rolls are through, or nearly.
 * @example
 * kitFindings({ used: 1, rolls: 16, rollsLeft: 0 }, 'Kit 3')[0].rule // → 'bottle-kit-used'
 */
export function kitFindings({ used, rolls }: KitCount, label: string): Finding[] {
  const through = `${label}: ${Number(rolls.toFixed(1))} rolls went through it`
  if (used >= enough)
    return [{ rule: 'bottle-kit-used', severity: 'error', message: `${through}, all its leaflet promises: retire its baths.` }]
  return used >= little
    ? [{ rule: 'bottle-kit-low', severity: 'warning', message: `${through}, ${Math.round(used * 100)} % of what its leaflet promises.` }]
    : []
}
