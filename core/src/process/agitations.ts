import type { Agitation } from './step'

/** Agitation schemes in use. Rounded literature values. */
export const agitations = {
  'minute-5-30': { name: '60 s, then 5 s each 30 s', firstS: 60, forS: 5, everyS: 30 },
  '30-5-30': { name: '30 s, then 5 s each 30 s', firstS: 30, forS: 5, everyS: 30 },
  '10-10-60': { name: '10 s, then 10 s each minute', firstS: 10, forS: 10, everyS: 60 },
  '10-4inv-30': { name: '10 s, then 4 inversions each 30 s', firstS: 10, forS: 8, everyS: 30, inversions: 4 },
  'minute-10-60': { name: 'first minute, then 10 s each minute', firstS: 60, forS: 10, everyS: 60 },
  continuous: { name: 'all the time', firstS: 86_400, forS: 0, everyS: 0 },
  none: { name: 'not at all', firstS: 0, forS: 0, everyS: 0 },
} satisfies Record<string, Agitation>

/**
 * A scheme by its key; nothing where there is none of that name.
 * @example
 * agitationNamed('30-5-30')?.everyS // → 30
 */
export const agitationNamed = (key: string): Agitation | undefined =>
  Object.hasOwn(agitations, key) ? agitations[key as keyof typeof agitations] : undefined
