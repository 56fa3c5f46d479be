import { DomainError, requirePositive } from '../error'

/** density by which two steps are told from each other, at least */
const toldApart = 0.03

/**
 * s that print full black through clear film: the first step of a strip that cannot be told from the next one, by their densities; null where the last step is still darker than
 * the one before it.
 * @throws DomainError 'out-of-range'; 'no-strip' where there are fewer than two steps or they do not rise
 * @example
 * contactTime([{ s: 8, density: 1.95 }, { s: 11.3, density: 2.05 }, { s: 16, density: 2.07 }]) // → 11.3
 */
export function contactTime(steps: { s: number; density: number }[]): number | null {
  for (const { s } of steps) requirePositive({ 'A step': s })
  if (steps.length < 2 || steps.some((one, i) => i > 0 && one.s <= (steps[i - 1]?.s ?? 0)))
    throw new DomainError('no-strip', 'A strip has two steps at least, each longer than the one before it.')
  return steps.find((one, i) => i + 1 < steps.length && (steps[i + 1]?.density ?? 0) - one.density <= toldApart + 1e-9)?.s ?? null
}

/** How a contact sheet looks that was exposed for full black through clear film. */
export const sheetLooks = ['all-dark', 'all-pale', 'both', 'well'] as const
export type SheetLooks = (typeof sheetLooks)[number]

const says: Record<SheetLooks, string> = {
  'all-dark': 'All frames are dark: the film was under-exposed. Expose it more next time, at a lower exposure index.',
  'all-pale':
    'All frames are pale: the film was exposed too much, or developed too long. The shadows say which: full of detail means exposure.',
  both: 'Some frames are dark and some are pale: the exposures were uneven, not the development.',
  well: 'The frames stand well at the standard time: their negatives are as they should be.',
}

/**
 * What a contact sheet at the standard time says of its negatives.
 * @example
 * sheetSays('all-dark').slice(0, 20) // → 'All frames are dark:'
 */
export const sheetSays = (looks: SheetLooks): string => says[looks]
