import type { Addition, Formula } from './formula'

/** A change to a formula that answers a finding. Steps count from 0. */
export type Repair =
  | { kind: 'move'; from: number; /** its place when it has been taken out */ to: number }
  | { kind: 'start-volume'; startMl: number }
  | { kind: 'temperature'; step: number; celsius: number }
  | { kind: 'deionised' }
  | {
      kind: 'stock-solution'
      step: number
      percent: number
      millilitres: number
      /** its solvent is propylene glycol */ inGlycol?: boolean
    }
  | { kind: 'pinch'; from: number; to: number; grams: number }
  | { kind: 'substitute'; step: number; additions: Addition[] }

/**
 * The formula with the repair made.
 * @example
 * applyRepair(developer, { kind: 'pinch', from: 1, to: 0, grams: 3 }).additions.map((addition) => [addition.chemical, addition.grams]) // → [['sodium-sulfite', 3], ['metol', 2], ['sodium-sulfite', 97], ['hydroquinone', 5], ['borax-decahydrate', 2]]
 */
export function applyRepair<F extends Formula>(formula: F, repair: Repair): F {
  const additions = [...formula.additions]
  switch (repair.kind) {
    case 'move': {
      const [moved] = additions.splice(repair.from, 1)
      if (moved) additions.splice(repair.to, 0, moved)
      return { ...formula, additions }
    }
    case 'start-volume':
      return { ...formula, startMl: repair.startMl }
    case 'deionised':
      return { ...formula, water: 'deionised' }
    case 'temperature':
      return { ...formula, additions: additions.map((one, i) => (i === repair.step ? { ...one, atC: repair.celsius } : one)) }
    case 'stock-solution': {
      const { grams: _weighed, ...rest } = additions[repair.step] as Addition
      additions[repair.step] = {
        ...rest,
        millilitres: repair.millilitres,
        percent: repair.percent,
        ...(repair.inGlycol && !rest.note ? { note: 'dissolved in propylene glycol' } : {}),
      }
      return { ...formula, additions }
    }
    case 'pinch': {
      const whole = additions[repair.from] as Addition
      additions[repair.from] = { ...whole, grams: (whole.grams ?? 0) - repair.grams }
      additions.splice(repair.to, 0, { chemical: whole.chemical, grams: repair.grams })
      return { ...formula, additions }
    }
    case 'substitute':
      additions.splice(repair.step, 1, ...repair.additions)
      return { ...formula, additions }
  }
}
