import type { Fault, Wiping } from './faults'

export const densities = ['thin', 'right', 'dense'] as const
export const contrasts = ['flat', 'right', 'hard'] as const

/** How a film came out, as far as somebody has said so. */
export interface CameOut {
  result: (typeof densities)[number] | null
  contrast: (typeof contrasts)[number] | null
  faults: Fault[]
  wiping: Wiping | null
}
