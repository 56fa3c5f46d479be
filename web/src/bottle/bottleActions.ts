import { isReused } from '@selvrin/core'
import type { BottlePage } from '@selvrin/core/contract'

export type Panel = 'dilute' | 'pour' | 'use' | 'decant' | 'replenish' | 'stand' | 'measure' | 'ph' | 'school' | 'pair' | 'wrong' | 'retire'

export interface Action {
  panel: Panel
  name: string
}

/** What can be done with a bottle now: the likeliest first, then the rest. */
export function actionsOf(bottle: BottlePage): { first: Action[]; more: Action[] } {
  if (bottle.retiredAt !== null) return { first: [], more: [{ panel: 'pour', name: 'Pour away or out' }] }
  const dilutes = bottle.parts === null && bottle.use.dilutions.some((parts) => parts.length > 1)
  const first: Action[] = [
    ...(dilutes ? [{ panel: 'dilute' as const, name: 'Make working strength' }] : []),
    ...(bottle.use.school === 'replenished' ? [{ panel: 'replenish' as const, name: 'Replenish' }] : []),
    ...(isReused(bottle) ? [{ panel: 'use' as const, name: 'Poured back' }] : []),
    { panel: 'pour', name: 'Pour, top up' },
    { panel: 'decant', name: 'Decant' },
  ]
  const more: Action[] = [
    ...(bottle.use.school === 'two-bath' ? [{ panel: 'pair' as const, name: 'Pair, move up' }] : []),
    ...(bottle.phOff ? [{ panel: 'ph' as const, name: 'Say why its pH is off' }] : []),
    { panel: 'measure', name: 'Measured' },
    { panel: 'stand', name: 'Move' },
    { panel: 'school', name: 'Use it otherwise' },
    { panel: 'wrong', name: 'Wrong bottle' },
    { panel: 'retire', name: 'Retire' },
  ]
  return { first, more }
}
