import { DomainError, readKept, writeExactly } from '@selvrin/core'
import { manner } from '../session/manner'

/* The volumes (ml) that cover 1, 2, … films of a tank, as they are typed: one a reel, in any unit. */

export function readCovers(text: string): number[] {
  const volumes = text.split(/;\s*|,\s+|,(?=\s*\d+\s*ml)/).map((one) => readKept(one, 'volume', manner.value))
  if (volumes.some((ml, i) => ml < (volumes[i - 1] ?? 0)))
    throw new DomainError('covers', 'Each more film needs at least as much as the one before it.')
  return volumes
}
export const writeCovers = (volumes: number[]): string => volumes.map((ml) => writeExactly(ml, 'volume', manner.value)).join('; ')
