import { DomainError, requirePositive } from '../error'

/** Grades of paper as they are named, softest first; halves are filters of variable-contrast paper. */
export const grades = ['00', '0', '1', '1.5', '2', '2.5', '3', '3.5', '4', '4.5', '5'] as const
export type Grade = (typeof grades)[number]

/** the least range number of each grade, softest first; above the first it is 00 */
const leastOf: [number, 0 | 1 | 2 | 3 | 4 | 5][] = [
  [141, 0],
  [115, 1],
  [95, 2],
  [80, 3],
  [65, 4],
  [50, 5],
]
const softest = 170

/**
 * The grade of a range number, rounded to a whole one first; null where none is as hard. R is 100 × the log exposure range from 0.04 above fog to 90 % of the net maximum.
 * @throws DomainError 'out-of-range'
 * @example
 * gradeFor(120.4) // → 1
 */
export function gradeFor(range: number): '00' | 0 | 1 | 2 | 3 | 4 | 5 | null {
  requirePositive({ 'A range number': range })
  const rounded = Math.round(range)
  if (rounded > softest) return '00'
  return leastOf.find(([least]) => rounded >= least)?.[1] ?? null
}

/**
 * The range number a negative wants: 100·log10 of the light at the thinnest shadow that must show, over that at the densest highlight, both in lux on the easel.
 * @throws DomainError 'out-of-range'
 * @example
 * rangeWanted({ shadowLux: 32, highlightLux: 2 }) // → 120.41
 */
export function rangeWanted({ shadowLux, highlightLux }: { shadowLux: number; highlightLux: number }): number {
  requirePositive({ 'The shadow': shadowLux, 'The highlight': highlightLux })
  if (shadowLux <= highlightLux)
    throw new DomainError(
      'out-of-range',
      'The shadow, thin in the negative, is the brighter one on the easel: it is more lux than the highlight.',
    )
  return 100 * Math.log10(shadowLux / highlightLux)
}

/**
 * s on paper of another speed number: t2 = t1·P1/P2.
 * @throws DomainError 'out-of-range'
 * @example
 * paperTime({ seconds: 12, fromSpeed: 250, toSpeed: 160 }) // → 18.75
 */
export function paperTime({ seconds, fromSpeed, toSpeed }: { seconds: number; fromSpeed: number; toSpeed: number }): number {
  requirePositive({ 'An exposure': seconds, 'A paper’s speed': fromSpeed, 'Another paper’s speed': toSpeed })
  return (seconds * fromSpeed) / toSpeed
}

/**
 * A grade so many halves harder, or softer; at most as hard or soft as there are filters.
 * @example
 * gradeBy('2', 1) // → '2.5'
 */
export function gradeBy(grade: Grade, halves: number): Grade {
  // 00 and 0 stand a whole grade apart, and so do 0 and 1
  const at = gradeValue(grade) + halves / 2
  return grades.reduce((best, one) => (Math.abs(gradeValue(one) - at) < Math.abs(gradeValue(best) - at) ? one : best))
}

/**
 * A grade as a number one can count with: 00 stands a whole one below 0.
 * @example
 * gradeValue('00') // → -1
 */
export const gradeValue = (grade: Grade): number => (grade === '00' ? -1 : Number(grade))

/** the middle of each whole grade's span of range numbers; 00 as far beyond 0 as 0 is beyond 1 */
const middles: [Grade, number][] = [
  ['00', 183],
  ['0', 155.5],
  ['1', 127.5],
  ['2', 104.5],
  ['3', 87],
  ['4', 72],
  ['5', 57],
]

/**
 * The range number in the middle of a grade; of a half, between its neighbours.
 * @example
 * rangeOfGrade('2.5') // → 95.75
 */
export function rangeOfGrade(grade: Grade): number {
  const at = gradeValue(grade)
  const low = middles.findLast(([one]) => gradeValue(one) <= at) ?? ['00', 183]
  const high = middles.find(([one]) => gradeValue(one) >= at) ?? low
  return (low[1] + high[1]) / 2
}

/**
 * The grade, halves as well, whose middle is nearest to a range number; null where none is as hard.
 * @throws DomainError 'out-of-range'
 * @example
 * gradeNear(97) // → '2.5'
 */
export const gradeNear = (range: number): Grade | null =>
  gradeFor(range) === null
    ? null
    : grades.reduce((best, one) => (Math.abs(rangeOfGrade(one) - range) < Math.abs(rangeOfGrade(best) - range) ? one : best))
