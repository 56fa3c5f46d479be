import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import type { Formula } from '../formula/formula'
import { linesOf, type Line } from '../formula/lines'
import { weighingTolerance } from '../formula/minimumWeighable'
import { scaleFormula } from '../formula/scaleFormula'

/** What happened during a guided mix, in order. `step` is the index of the addition. */
export type MixEvent =
  | { id: string; kind: 'water'; celsius: number | null }
  | { id: string; kind: 'weigh'; step: number; amount: number; jarId: string | null }
  | { id: string; kind: 'dissolved'; step: number }
  | { id: string; kind: 'rescale'; finalMl: number }
  | { id: string; kind: 'topped-up' }
  | { id: string; kind: 'ph'; ph: number; celsius: number | null }

/** One addition during the mix. Amounts are in `unit`: g for what is weighed, ml for what is measured. */
export interface MixLine {
  line: Line
  unit: 'g' | 'ml'
  target: number
  /** accepted from `low` to `high` */
  low: number
  high: number
  put: number
  toGo: number
  state: 'to-come' | 'open' | 'in-band' | 'too-much' | 'done'
}

export interface MixState {
  formula: Formula
  lines: MixLine[]
  /** what to do now: the water, an addition, the top-up, the bottles */
  at: 'water' | number | 'top-up' | 'bottle'
  /** water to top up with is what lacks to the final volume; the starting volume already counts the liquids */
  startMl: number
  ph: number | null
  phCelsius: number | null
}

/** Where a guided mix stands, from its formula version, the volume first wanted and all that happened since. */
export function mixState(formula: Formula, finalMl: number, events: MixEvent[], catalogue: Catalogue = builtIn): MixState {
  const rescaled = events.reduce((ml, event) => (event.kind === 'rescale' ? event.finalMl : ml), finalMl)
  const scaled = scaleFormula(formula, rescaled)
  const puts = new Map<number, number>()
  const dissolved = new Set<number>()
  for (const event of events) {
    if (event.kind === 'weigh') {
      puts.set(event.step, (puts.get(event.step) ?? 0) + event.amount)
      dissolved.delete(event.step)
    }
    if (event.kind === 'dissolved') dissolved.add(event.step)
  }
  const lines = linesOf(scaled, catalogue).map((line): MixLine => {
    const unit = line.addition.millilitres === undefined ? 'g' : 'ml'
    const target = line.addition.grams ?? line.addition.millilitres ?? 0
    const band = target * weighingTolerance(line.addition, line.chemical)
    const put = puts.get(line.step) ?? 0
    // binary fractions: 220 ± 5 % must accept 231.0
    const slack = target * 1e-9
    const inBand = put >= target - band - slack && put <= target + band + slack
    const state = put > target + band + slack ? 'too-much' : !inBand ? 'open' : dissolved.has(line.step) ? 'done' : 'in-band'
    return { line, unit, target, low: target - band, high: target + band, put, toGo: target - put, state }
  })
  const water = events.some((event) => event.kind === 'water')
  const open = lines.findIndex((line) => line.state !== 'done')
  const toppedUp = events.some((event) => event.kind === 'topped-up')
  const at = !water ? 'water' : open >= 0 ? open : toppedUp ? 'bottle' : 'top-up'
  const ph = events.findLast((event) => event.kind === 'ph')
  return {
    formula: scaled,
    lines: lines.map((line, i) => (typeof at === 'number' && i > at && line.put === 0 ? { ...line, state: 'to-come' } : line)),
    at,
    startMl: scaled.startMl,
    ph: ph?.ph ?? null,
    phCelsius: ph?.celsius ?? null,
  }
}

/**
 * The final volume in ml at which what was put in of a line is exactly right: the way out of over-weighing that wastes nothing.
 * Lines already done then have some to go again, in proportion.
 */
export const volumeFor = (state: MixState, step: number): number => {
  const line = state.lines[step]
  return line && line.target > 0 ? (state.formula.finalMl * line.put) / line.target : state.formula.finalMl
}
