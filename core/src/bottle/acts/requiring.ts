import { conflict } from '../../error'
import { reasonAgainst } from '../mayBeUsed'
import type { Acted } from './act'

/** Refuses to take more (ml) than a bottle holds, saying what is left. */
export function requireVolume(bottle: Acted, ml: number): void {
  if (ml > bottle.state.volumeMl + 1e-6)
    throw conflict(
      'not-enough',
      `${bottle.label} holds ${bottle.state.volumeMl.toFixed(0)} ml, not the ${ml.toFixed(0)} ml wanted. Take less, or another bottle.`,
      { current: bottle },
    )
}

/** Refuses what (ml) would overflow a bottle that holds `volumeMl`. */
export function requireRoom({ label, sizeMl, state }: Acted, ml: number, volumeMl = state.volumeMl): void {
  if (volumeMl + ml > sizeMl + 1e-6)
    throw conflict('too-full', `${label} takes ${Math.max(0, sizeMl - volumeMl).toFixed(0)} ml more, not ${ml.toFixed(0)} ml.`, {
      field: 'ml',
    })
}

/** Refuses a retired, expired, exhausted or failed bottle short of a technician's reason; answers what to note of it. */
export function requireUsable(bottle: Acted, overrule: string | undefined): string {
  const against = reasonAgainst(bottle)
  if (!against) return ''
  if (overrule === undefined)
    throw conflict(
      against.rule.replace('bottle-', ''),
      `${bottle.label} should not be used: ${against.message} Take another bottle, or give the reason why this one all the same.`,
      { field: 'overrule' },
    )
  return `In spite of “${against.message}”: ${overrule}`
}

/** Refuses what is retired. */
export function requireInUse(bottle: Acted): void {
  if (bottle.retiredAt !== null) throw conflict('retired', `${bottle.label} is retired. Take another bottle.`)
}
