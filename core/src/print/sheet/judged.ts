import { DomainError } from '../../error'
import { byGravity, type Finding } from '../../finding'
import { placeTimes } from '../dodgeBurn'
import { exposedBy, exposureAdvice } from '../exposure'
import { dialsFor, setFactor, settingFor, settingGives, type Dials, type KeyTone, type Wedge } from '../filters'
import { gradeBy, gradeNear, type Grade } from '../grade'
import { stripReading } from '../strip'
import { isColourSaid, recoloured, type ColourSaid, type ColourWay } from './recoloured'
import type { PrintFilter, PrintSaid, StripTry, WholeTry } from './tries'
import { halvesSay, percentSays, stopsSay } from './words'

/** How the enlarger changes grades: filters of a set, a head by its table, a head by its own wedges; or colours, by filters in a drawer or the dials of a head. */
export type FilterWay =
  { by: 'set' } | { by: 'table'; kind: 'single' | 'double'; max: number } | { by: 'wedges'; wedges: Wedge[]; key: KeyTone } | ColourWay

/** What is different in the next try, and why, in words; the factor of its time where it has one. */
export interface PrintChange {
  what: 'exposure' | 'grade' | 'place' | 'colour'
  says: string
  factor: number | null
}
export interface NextTry {
  print: WholeTry
  changes: PrintChange[]
  findings: Finding[]
}

/** range numbers by which half a grade differs, as the middles of the grades' spans do on the whole. Guidance value. */
const rangePerHalf = 10

/** An exposure's change in words: percent and stops. */
const stopWords = (stops: number): string => `${percentSays(stops)} (${stopsSay(stops)})`

function dialled(dials: Dials, grade: Grade | null): PrintFilter {
  return { kind: 'dials', y: dials.y, m: dials.m, grade }
}

/** A filter so many halves harder, and the factor of the time it wants. */
function regraded(filter: PrintFilter, halves: number, way: FilterWay): { filter: PrintFilter; factor: number } {
  if (filter.kind === 'none')
    throw new DomainError('one-grade', 'This paper has one grade: for another take a box of another grade, or variable-contrast paper.')
  if (filter.kind === 'pack') throw new DomainError('no-grade', 'Colour paper has no grades: say what colour it has too much of.')
  if (filter.kind === 'set') {
    const grade = gradeBy(filter.grade, halves)
    return { filter: { kind: 'set', grade }, factor: setFactor(grade) / setFactor(filter.grade) }
  }
  if (way.by === 'wedges') {
    const now = settingGives(filter, way.wedges, way.key)
    const range = now.range - rangePerHalf * halves
    const next = range > 0 ? settingFor(range, way.wedges, way.key) : null
    if (!next) throw new DomainError('outside-range', `${halvesSay(halves)} lies outside the wedges of this head: print one beyond them.`)
    return { filter: dialled(next, gradeNear(range)), factor: now.speed / next.speed }
  }
  if (way.by !== 'table' || filter.grade === null)
    throw new DomainError('no-grade', 'Nobody knows which grade those dials are: say it, or calibrate the head by wedges.')
  const grade = gradeBy(filter.grade, halves)
  return { filter: dialled(dialsFor(grade, way), grade), factor: setFactor(grade) / setFactor(filter.grade) }
}

/** A split grade has its soft and its hard exposure; the grade of the whole is moved between them. */
function requireOne(print: WholeTry): void {
  if (print.exposures.length > 1)
    throw new DomainError(
      'split-grade',
      'A split grade has no grade of its own: say it of the soft exposure (the highlights) or of the hard one (the blacks).',
    )
}

/** More exposure makes paper for slides lighter: what shall be darker gets less. */
const lightFor = (stops: number, way: FilterWay): number => (way.by === 'pack' && way.material === 'reversal' ? -stops || 0 : stops)

function said(print: WholeTry, one: Exclude<PrintSaid, ColourSaid>, way: FilterWay): { print: WholeTry; change: PrintChange } {
  const { exposures, places } = print
  if (one.of === 'grade') {
    requireOne(print)
    const [only] = exposures
    const { filter, factor } = regraded(only?.filter ?? { kind: 'none' }, one.halves, way)
    const change: PrintChange = {
      ...{ what: 'grade', factor },
      says: `${halvesSay(one.halves)}${factor === 1 ? ', at the same time' : `, for which the time is ×${factor.toFixed(2)}`}`,
    }
    return { print: { ...print, exposures: [{ filter, seconds: (only?.seconds ?? 0) * factor }] }, change }
  }
  if (one.of === 'place') {
    const before = places.find((place) => place.name === one.name && place.exposure === one.exposure)
    const stops = (before?.stops ?? 0) + one.stops
    const rest = places.filter((place) => place !== before)
    const next = { name: one.name, stops, exposure: one.exposure }
    const change: PrintChange = {
      what: 'place',
      says: `${one.name} ${stopsSay(one.stops)}, ${stopsSay(stops).replace(' stop', '')} in all`,
      factor: null,
    }
    // what is where the rest is needs no plan
    return { print: { ...print, places: Math.abs(stops) < 1e-9 ? rest : [...rest, next] }, change }
  }
  if (one.of === 'exposure' && !exposures[one.exposure]) throw new DomainError('no-exposure', 'This print has no such exposure.')
  const whose = one.of === 'print' || exposures.length === 1 ? 'the whole' : one.exposure === 0 ? 'the soft exposure' : 'the hard exposure'
  const light = lightFor(one.stops, way)
  const changed = exposures.map((exposure, i) =>
    one.of === 'print' || i === one.exposure ? { ...exposure, seconds: exposedBy(exposure.seconds, light) } : exposure,
  )
  const change: PrintChange = { what: 'exposure', says: `${whose} ${stopWords(light)}`, factor: 2 ** light }
  return { print: { ...print, exposures: changed }, change }
}

/** What is to be said of a print before it is exposed. */
function findingsOf({ exposures, places }: WholeTry): Finding[] {
  const own = exposures.flatMap(({ seconds }, i) => [
    ...exposureAdvice(seconds),
    ...placeTimes(
      seconds,
      places.filter((place) => place.exposure === i),
    ).findings,
  ])
  return own.sort(byGravity)
}

/** The print with its colours changed, each change in words. */
function coloured(print: WholeTry, all: ColourSaid[], way: FilterWay): { print: WholeTry; changes: PrintChange[] } {
  if (all.length === 0) return { print, changes: [] }
  if (way.by !== 'pack') throw new DomainError('no-colour', 'This paper prints grey: it has no colours to change.')
  const { exposures, says, factor } = recoloured(print.exposures, all, way)
  return { print: { ...print, exposures }, changes: says.map((one) => ({ what: 'colour', says: one, factor })) }
}

/**
 * The next print, as the one before it was judged: colours and grade first, since they change the time, then darker or lighter, then the places, which scale with the time they belong to. With
 * what is different and why.
 * @throws DomainError 'one-grade', 'split-grade', 'no-grade', 'no-colour', 'opposite-casts', 'outside-range', 'no-exposure', 'out-of-range'
 * @example
 * nextTry(aPrint, [{ of: 'print', stops: 0.263 }], { by: 'set' }).print.exposures.map((one) => one.seconds) // → [12]
 */
export function nextTry(print: WholeTry, judged: PrintSaid[], way: FilterWay): NextTry {
  const order = ['grade', 'print', 'exposure', 'place']
  const first = coloured(print, judged.filter(isColourSaid), way)
  const { changes } = first
  let next = first.print
  const rest = judged.filter((one): one is Exclude<PrintSaid, ColourSaid> => !isColourSaid(one))
  for (const one of rest.sort((a, b) => order.indexOf(a.of) - order.indexOf(b.of))) {
    const step = said(next, one, way)
    next = step.print
    changes.push(step.change)
  }
  return { print: next, changes, findings: findingsOf(next) }
}

/**
 * The print that a strip asks for: the chosen band's exposure through the strip's filter, on top of what the whole strip had before.
 * @throws DomainError 'no-band' where nobody has chosen one
 * @example
 * printOfStrip({ ...aStrip, chosen: [2] }).exposures.map((one) => one.seconds) // → [16]
 */
export function printOfStrip({ steps, bands, filter, under, chosen }: StripTry): WholeTry {
  if (chosen === null) throw new DomainError('no-band', 'Choose the band that is right, or the two it lies between.')
  return { kind: 'print', exposures: [...under, { seconds: stripReading(steps, bands, chosen), filter }], places: [] }
}

/**
 * The strip around an exposure that is a guess: seven bands in thirds of a stop with the guess in the middle.
 * @throws DomainError 'out-of-range'
 * @example
 * stripAround(10, { kind: 'none' }).steps.firstS // → 5
 */
export const stripAround = (guessS: number, filter: PrintFilter): StripTry => ({
  ...{ kind: 'strip', steps: { by: 'stops', firstS: exposedBy(guessS, -1), stepStops: 1 / 3 }, bands: 7, way: 'cover' },
  ...{ filter, under: [], chosen: null },
})
