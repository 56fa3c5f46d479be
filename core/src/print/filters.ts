import { DomainError, requirePositive } from '../error'
import { grades, gradeValue, type Grade } from './grade'

/** Filters a print on variable-contrast paper is exposed through: loose ones by their grade, or the dials of a head, one of them at a time or both. */
export const filterKinds = ['set', 'single', 'double'] as const
export type FilterKind = (typeof filterKinds)[number]
/** Dials of a head. */
export interface Dials {
  y: number
  m: number
}

/** the dials of a head that counts to 170; rounded literature values, until it is calibrated */
const tableMax = 170
const single: Partial<Record<Grade, Dials>> = {
  '00': { y: 160, m: 0 },
  '0': { y: 90, m: 0 },
  '1': { y: 65, m: 0 },
  '1.5': { y: 40, m: 0 },
  '2': { y: 0, m: 0 },
  '2.5': { y: 0, m: 25 },
  '3': { y: 0, m: 45 },
  '3.5': { y: 0, m: 70 },
  '4': { y: 0, m: 100 },
  '5': { y: 0, m: tableMax },
}
const double: Partial<Record<Grade, Dials>> = {
  '0': { y: 90, m: 5 },
  '1': { y: 65, m: 10 },
  '2': { y: 40, m: 25 },
  '3': { y: 25, m: 45 },
  '4': { y: 10, m: 85 },
  '5': { y: 0, m: tableMax },
}
const tables = { single, double }

/** The highest figures that dials of heads count to. */
export const dialMaxima = [130, 170, 200] as const

/** Between two that stand in a list, as far along as `at` is. */
const between = (at: number, low: { at: number } & Dials, high: { at: number } & Dials): Dials => {
  const share = high.at === low.at ? 0 : (at - low.at) / (high.at - low.at)
  return { y: low.y + share * (high.y - low.y), m: low.m + share * (high.m - low.m) }
}

/**
 * Where the dials of a head stand for a grade before it is calibrated: from the table of its kind, between its grades linearly, scaled to what its dials count to.
 * @throws DomainError 'no-filter' where that kind has no such grade
 * @example
 * dialsFor('2.5', { kind: 'single', max: 170 }) // → { y: 0, m: 25 }
 */
export function dialsFor(grade: Grade, { kind, max }: { kind: 'single' | 'double'; max: number }): Dials {
  requirePositive({ 'What the dials count to': max })
  const rows = grades.flatMap((one) => {
    const dials = tables[kind][one]
    return dials ? [{ at: gradeValue(one), ...dials }] : []
  })
  const at = gradeValue(grade)
  const [low, high] = [rows.findLast((one) => one.at <= at), rows.find((one) => one.at >= at)]
  if (!low || !high) throw new DomainError('no-filter', `With two filters at once there is no grade ${grade}: take yellow alone.`)
  const { y, m } = between(at, low, high)
  return { y: (y * max) / tableMax, m: (m * max) / tableMax }
}

/**
 * How much longer a filter of a set is exposed than those up to 3½, whose middle grey is matched in speed: twice from 4 on.
 * @example
 * setFactor('4') // → 2
 */
export const setFactor = (grade: Grade): number => (gradeValue(grade) >= 4 ? 2 : 1)

/** A setting of the filters that a wedge was printed at: its range number and its speed, at middle grey and, where somebody read it, at a light tone. */
export interface Wedge extends Dials {
  range: number
  speed: number
  lightSpeed?: number | undefined
}
/** The tone that is kept the same when the grade changes. */
export type KeyTone = 'middle' | 'light'

const axis = ({ y, m }: Dials): number => m - y

function sorted(wedges: Wedge[]): Wedge[] {
  if (wedges.length < 2) throw new DomainError('no-wedge', 'A head is calibrated by two wedges at least.')
  return [...wedges].sort((a, b) => axis(a) - axis(b))
}

function speedOf(wedge: Wedge, key: KeyTone): number {
  const speed = key === 'light' ? wedge.lightSpeed : wedge.speed
  if (speed === undefined) throw new DomainError('no-data', 'The wedges were not read at a light tone: keep the middle grey, or read them.')
  return speed
}

/** Between two wedges: figures by the share of the way. */
const mixed = (low: Wedge, high: Wedge, share: number, key: KeyTone): { y: number; m: number; range: number; speed: number } => {
  const way = (from: number, to: number): number => from + share * (to - from)
  return {
    ...{ y: way(low.y, high.y), m: way(low.m, high.m), range: way(low.range, high.range) },
    speed: way(speedOf(low, key), speedOf(high, key)),
  }
}

/**
 * What a setting gives by the head's own wedges: its range number is linear between them, and so is its speed.
 * @throws DomainError 'no-wedge' below two wedges; 'outside-range' where the setting lies outside them; 'no-data'
 * @example
 * settingGives({ y: 0, m: 15 }, [{ y: 0, m: 0, range: 104, speed: 200 }, { y: 0, m: 30, range: 92, speed: 160 }]).range // → 98
 */
export function settingGives(dials: Dials, wedges: Wedge[], key: KeyTone = 'middle'): { range: number; speed: number } {
  const rows = sorted(wedges)
  const at = axis(dials)
  const i = rows.findIndex((one, k) => k + 1 < rows.length && axis(one) <= at && at <= axis(rows[k + 1] ?? one))
  const [low, high] = [rows[i], rows[i + 1]]
  if (!low || !high) throw new DomainError('outside-range', 'That setting lies outside the wedges: print one beyond it.')
  const share = axis(high) === axis(low) ? 0 : (at - axis(low)) / (axis(high) - axis(low))
  const { range, speed } = mixed(low, high, share, key)
  return { range, speed }
}

/**
 * The setting that gives a range number, with its speed, by the head's own wedges; null where none of them is as soft or as hard.
 * @throws DomainError 'no-wedge', 'no-data'
 * @example
 * settingFor(98, [{ y: 0, m: 0, range: 104, speed: 200 }, { y: 0, m: 30, range: 92, speed: 160 }])?.m // → 15
 */
export function settingFor(range: number, wedges: Wedge[], key: KeyTone = 'middle'): (Dials & { speed: number }) | null {
  requirePositive({ 'A range number': range })
  const rows = sorted(wedges)
  for (const [i, low] of rows.entries()) {
    const high = rows[i + 1]
    if (!high || (range - low.range) * (range - high.range) > 0) continue
    const share = high.range === low.range ? 0 : (range - low.range) / (high.range - low.range)
    const { y, m, speed } = mixed(low, high, share, key)
    return { y, m, speed }
  }
  return null
}
