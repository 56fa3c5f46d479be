import { z } from 'zod'
import { DomainError, requirePositive } from '../error'
import { settingFor, type Wedge } from './filters'
import { rangeOfGrade, type Grade } from './grade'
import type { FilterWay } from './sheet/judged'
import type { PrintFilter } from './sheet/tries'

const dial = z.number('A dial is a number.').min(0, 'A dial stands at 0 or more.').max(400, 'A dial stands at 400 at most.')
const step = z.number('A step is a number.').min(0, 'Steps are counted from 1.').max(60, 'A wedge has sixty steps at most.')

/**
 * A step wedge as it was read off a print: the dials, s of exposure, and the steps, counted from the clearest of the wedge, halves where it lies between two: the last that is grey at
 * all, the one like the grey of the chart, the first below full black; one like a light tone where somebody looked for it.
 */
export const wedgeReading = z.strictObject({
  ...{ y: dial, m: dial },
  seconds: z.number('Seconds are a number.').gt(0, 'Seconds are more than 0.').max(3600, 'An hour at most.'),
  ...{ white: step, grey: step, black: step, light: step.nullable() },
})
export type WedgeReading = z.output<typeof wedgeReading>

/**
 * Range number and speed of a setting, off a wedge whose steps are so dense (D): R = 100 × steps between full black and the last grey × density; speed is the inverse of the exposure that
 * made the grey, on a scale of one's own, since only its ratios are used.
 * @throws DomainError 'no-wedge' where the steps stand in another order; 'out-of-range'
 * @example
 * wedgeOf({ y: 0, m: 30, seconds: 10, black: 3, grey: 7, white: 11, light: null }, 0.15).range // → 120
 */
export function wedgeOf({ y, m, seconds, white, grey, black, light }: WedgeReading, stepD: number): Wedge {
  requirePositive({ 'A step of the wedge': stepD, 'An exposure': seconds })
  if (!(black < grey && grey < white))
    throw new DomainError(
      'no-wedge',
      'Of a wedge the black comes first, then the grey, then the last step that is grey at all: count from its clearest step.',
    )
  if (light !== null && !(grey < light && light <= white))
    throw new DomainError('no-wedge', 'The light tone lies between the grey and the last step that is grey at all.')
  const speed = (at: number): number => (100 * 10 ** (at * stepD)) / seconds
  return { y, m, range: 100 * stepD * (white - black), speed: speed(grey), ...(light === null ? {} : { lightSpeed: speed(light) }) }
}

/**
 * The dials that give a grade by the head's own wedges, and the speed there; null where it lies outside them.
 * @throws DomainError 'no-wedge', 'no-data'
 * @example
 * filterByWedges('2', { by: 'wedges', wedges: [{ y: 0, m: 0, range: 110, speed: 200 }, { y: 0, m: 30, range: 93.5, speed: 160 }], key: 'middle' })?.filter // → { kind: 'dials', y: 0, m: 10, grade: '2' }
 */
export function filterByWedges(
  grade: Grade,
  { wedges, key }: Extract<FilterWay, { by: 'wedges' }>,
): { filter: PrintFilter; speed: number } | null {
  const at = settingFor(rangeOfGrade(grade), wedges, key)
  return at && { filter: { kind: 'dials', y: at.y, m: at.m, grade }, speed: at.speed }
}
