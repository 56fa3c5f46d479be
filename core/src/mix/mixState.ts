import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import type { Formula } from '../formula/formula'
import { linesOf, type Line } from '../formula/lines'
import { weighingTolerance } from '../formula/minimumWeighable'
import { scaleFormula } from '../formula/scaleFormula'
import type { MixEvent } from './mixEvent'
import { whatCounts } from './whatCounts'

/** One addition during the mix. Amounts are of what is in the jar, in `unit`: g for what is weighed, ml for what is measured. */
export interface MixLine {
  line: Line
  /** what is in the jar it is taken from; the formula's own chemical while no jar was said */
  chemical: Chemical
  jarId: string | null
  lot: string
  /** g of the jar's product per g of the formula's */
  factor: number
  unit: 'g' | 'ml'
  target: number
  /** accepted from `low` to `high` */
  low: number
  high: number
  put: number
  toGo: number
  /** share of the target that may be off */
  tolerance: number
  /** a second person has yet to look at it */
  needsCheck: boolean
  checkedBy: string | null
  state: 'to-come' | 'open' | 'in-band' | 'too-much' | 'done'
}

export interface MixState {
  formula: Formula
  lines: MixLine[]
  /** what to do now: the water, an addition, the top-up, the bottles */
  at: 'water' | 'more-water' | number | 'top-up' | 'bottle'
  /** water to top up with is what lacks to the final volume; the starting volume already counts the liquids */
  startMl: number
  /** water that lacks beside what is in the jug, since the batch became larger; 0 where none does */
  moreWaterMl: number
  /** °C of the water as it was measured; null where it was not */
  waterC: number | null
  ph: number | null
  phCelsius: number | null
}

interface Record {
  jar: Extract<MixEvent, { kind: 'jar' }> | null
  /** g of the formula's product put in */
  grams: number
  dissolved: boolean
  checkedBy: string | null
}

/** Whether a line is poured from such a jar, in ml, or weighed: liquids are poured where the formula measures them, or where they stand in for a powder. */
const isPoured = (line: Line, held: Chemical): boolean =>
  held.densityGPerMl !== undefined && (line.addition.millilitres !== undefined || line.chemical.densityGPerMl === undefined)

/**
 * g of a jar's product in an amount taken of it for a line, in the line's unit.
 * @example
 * productGrams(metolLine, catalogue.metol, 2) // → 2
 */
export const productGrams = (line: Line, held: Chemical, amount: number): number =>
  isPoured(line, held) ? amount * (held.densityGPerMl ?? 1) : amount

/** How a line is measured out of a jar: its unit, and the formula's g in one of it. */
function measure(
  line: Line,
  jar: Record['jar'],
  catalogue: Catalogue,
): Pick<MixLine, 'chemical' | 'factor' | 'unit'> & { gramsPerUnit: number } {
  const factor = jar?.factor ?? 1
  const chemical = jar ? chemicalOf(jar.chemical, catalogue) : line.chemical
  if (line.dissolved) return { chemical: line.chemical, factor: 1, unit: 'ml', gramsPerUnit: (line.addition.percent ?? 0) / 100 }
  const unit = isPoured(line, chemical) ? 'ml' : 'g'
  return { chemical, factor, unit, gramsPerUnit: productGrams(line, chemical, 1) / factor }
}

/** What was put in of a line and said of it, in order. */
function recordOf(line: Line, events: MixEvent[], catalogue: Catalogue): Record {
  const record: Record = { jar: null, grams: 0, dissolved: false, checkedBy: null }
  for (const event of events) {
    if (!('step' in event) || event.step !== line.step) continue
    if (event.kind === 'jar') record.jar = event
    if (event.kind === 'weigh') {
      record.grams += event.amount * measure(line, record.jar, catalogue).gramsPerUnit
      record.dissolved = false
      record.checkedBy = null
    }
    if (event.kind === 'checked') record.checkedBy = event.name
    if (event.kind === 'dissolved') record.dissolved = true
  }
  return record
}

function mixLine(line: Line, events: MixEvent[], secondCheck: boolean, catalogue: Catalogue): MixLine {
  const record = recordOf(line, events, catalogue)
  const { gramsPerUnit, ...measured } = measure(line, record.jar, catalogue)
  const target = gramsPerUnit === 0 ? 0 : line.grams / gramsPerUnit
  const tolerance = weighingTolerance(line.addition, line.chemical)
  const band = target * tolerance
  const put = gramsPerUnit === 0 ? 0 : record.grams / gramsPerUnit
  // binary fractions: 220 ± 5 % must accept 231.0
  const slack = target * 1e-9
  const inBand = put >= target - band - slack && put <= target + band + slack
  const careful = line.addition.role === 'developer' || line.addition.role === 'restrainer' || tolerance <= 0.02
  return {
    line,
    ...measured,
    jarId: record.jar?.jarId ?? null,
    lot: record.jar?.lot ?? '',
    target,
    low: target - band,
    high: target + band,
    put,
    toGo: target - put,
    tolerance,
    needsCheck: secondCheck && careful && inBand && record.checkedBy === null,
    checkedBy: record.checkedBy,
    state: put > target + band + slack ? 'too-much' : !inBand ? 'open' : record.dissolved ? 'done' : 'in-band',
  }
}

/**
 * Where a guided mix stands, from its formula version, the volume first wanted and all that happened since. With `secondCheck` developing agents and
 * restrainers wait for a second person's look.
 * @example
 * mixState(developer, 1000, mixEvents).at // → 0
 * mixState(developer, 1000, mixEvents).lines[0].toGo // → 0.1
 */
export function mixState(
  formula: Formula,
  finalMl: number,
  written: MixEvent[],
  secondCheck = false,
  catalogue: Catalogue = builtIn,
): MixState {
  const events = whatCounts(written)
  const volumeBefore = (until: MixEvent[]) => until.reduce((ml, event) => (event.kind === 'rescale' ? event.finalMl : ml), finalMl)
  const rescaled = volumeBefore(events)
  const scaled = scaleFormula(formula, rescaled)
  const lines = linesOf(scaled, catalogue).map((line) => mixLine(line, events, secondCheck, catalogue))
  const water = events.findLast((event) => event.kind === 'water')
  const open = lines.findIndex((line) => line.state !== 'done')
  const toppedUp = events.some((event) => event.kind === 'topped-up')
  const moreWaterMl = water ? lackingWater(scaled, events, (until) => scaleFormula(formula, volumeBefore(until)).startMl) : 0
  const at = !water ? 'water' : moreWaterMl > 0 ? 'more-water' : open >= 0 ? open : toppedUp ? 'bottle' : 'top-up'
  const ph = events.findLast((event) => event.kind === 'ph')
  return {
    formula: scaled,
    lines: lines.map((line, i) => (typeof at === 'number' && i > at && line.put === 0 ? { ...line, state: 'to-come' } : line)),
    at,
    startMl: scaled.startMl,
    moreWaterMl,
    waterC: water?.celsius ?? null,
    ph: ph?.ph ?? null,
    phCelsius: ph?.celsius ?? null,
  }
}

/** Under this share of the first water a difference is lost in the meniscus. */
const meniscus = 0.005

/** Water that a batch made larger wants on top of what was poured, so that the rest dissolves as the formula means it to. */
function lackingWater(scaled: Formula, events: MixEvent[], startMlAfter: (events: MixEvent[]) => number): number {
  const first = events.findIndex((event) => event.kind === 'water')
  const added = events.reduce((ml, event) => (event.kind === 'water-added' ? ml + event.ml : ml), 0)
  const lacking = scaled.startMl - startMlAfter(events.slice(0, first)) - added
  return lacking > scaled.startMl * meniscus ? lacking : 0
}

/** A batch is not stretched beyond this many times what was first wanted: so much too much is poured away. */
export const mostStretch = 3

/**
 * The final volume in ml at which what was put in of a line is exactly right: the way out of over-weighing that wastes nothing.
 * Lines already done then have some to go again, in proportion.
 * @example
 * volumeFor(begun, 0) // → 950
 */
export const volumeFor = (state: MixState, step: number): number => {
  const line = state.lines[step]
  return line && line.target > 0 ? (state.formula.finalMl * line.put) / line.target : state.formula.finalMl
}
