import { reasonAgainst } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'

/** Refuses to take more than a locked bottle holds, saying what is left. */
export function requireVolume(bottle: Bottle, ml: number): void {
  if (ml > bottle.state.volumeMl + 1e-6)
    throw new Refusal(
      409,
      'not-enough',
      `${bottle.label} holds ${bottle.state.volumeMl.toFixed(0)} ml, not the ${ml.toFixed(0)} ml wanted. Take less, or another bottle.`,
      { current: bottle },
    )
}

/** Refuses what would overflow a bottle. */
export function requireRoom(bottle: Bottle, ml: number): void {
  if (bottle.state.volumeMl + ml > bottle.sizeMl + 1e-6)
    throw new Refusal(
      409,
      'too-full',
      `${bottle.label} takes ${Math.max(0, bottle.sizeMl - bottle.state.volumeMl).toFixed(0)} ml more, not ${ml.toFixed(0)} ml.`,
      {
        field: 'ml',
      },
    )
}

/** Refuses a retired, expired, exhausted or failed bottle short of a technician's reason; answers what to note of it. */
export function requireUsable(bottle: Bottle, overrule: string | undefined): string {
  const against = reasonAgainst(bottle)
  if (!against) return ''
  if (overrule === undefined)
    throw new Refusal(
      409,
      against.rule.replace('bottle-', ''),
      `${bottle.label} should not be used: ${against.message} Take another bottle, or give the reason why this one all the same.`,
      { field: 'overrule' },
    )
  return `In spite of “${against.message}”: ${overrule}`
}

/** Refuses what is retired. */
export function requireInUse(bottle: Bottle): void {
  if (bottle.retiredAt !== null) throw new Refusal(409, 'retired', `${bottle.label} is retired. Take another bottle.`)
}
