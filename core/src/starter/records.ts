import type { AdditionRecord } from '../exchange/schemas'

/* How a house formula is written down in short. */

export const add = (chemical: string, amount: string, more: Partial<AdditionRecord> = {}): AdditionRecord => ({ chemical, amount, ...more })

/** What most house formulas share; figures of use are rounded literature values. */
export const litre = { makes: '1000 ml', start_with: '750 ml', mix_at: '45 °C' }
export const days = (full: number, half: number, working: number) => ({
  keeps_full_days: full,
  keeps_half_days: half,
  keeps_working_days: working,
})
export const oneShot = (dilutions: string, leastStock: number) => ({
  school: 'one-shot' as const,
  dilutions,
  least_stock_per_roll: `${leastStock} ml`,
})
export const counted = (dilutions: string, rolls: number) => ({ school: 'counted' as const, dilutions, rolls_per_litre: rolls })
