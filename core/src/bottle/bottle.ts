import type { Finding } from '../finding'
import type { Formula } from '../formula/formula'

/** How a bath is used up. */
export type School = 'one-shot' | 'counted'

/** Days a solution keeps at room temperature; null means the formula does not say. */
export interface Keeping {
  fullDays: number | null
  halfDays: number | null
  workingDays: number | null
}

/** How a formula is used, beside how it is mixed. */
export interface FormulaUse {
  school: School
  /** counted school: roll equivalents a litre of it is good for */
  capacityRollsPerL: number | null
  keeping: Keeping
  /** dilutions it is used at, as parts; [1] is undiluted */
  dilutions: number[][]
  /** ml of stock or concentrate one roll uses up */
  minConcentrateMlPerRoll: number
}

export type UsedFormula = Formula & { use: FormulaUse }

export interface BottleFacts {
  sizeMl: number
  /** parts it was diluted with when it was made; null for stock */
  parts: number[] | null
  /** ms since 1970 when it was mixed or diluted */
  madeAt: number
  retiredAt: number | null
}

export type EntryKind = 'fill' | 'dilute-out' | 'pour-out' | 'pour-back' | 'use' | 'top-up' | 'discard' | 'correct' | 'reverse'

/** One line of a bottle's ledger. Amounts are changes: what leaves is negative. */
export interface BottleEntry {
  id: string
  kind: EntryKind
  at: number
  ml: number
  /** roll equivalents of film, and 8×10 equivalents of paper, that went through; never added to each other */
  rolls: number
  paper: number
  /** ml of water carried in by the load, part of `ml` */
  waterInMl: number
  reverses: string | null
}

export interface BottleState {
  volumeMl: number
  rolls: number
  paper: number
  /** shares of the life, and what is left of it */
  used: number
  aged: number
  remaining: number
  /** what ends its life first at the present rate */
  governs: 'use' | 'age' | 'volume'
  /** roll equivalents it is still good for; null where nothing limits them */
  rollsLeft: number | null
  ageDays: number
  /** days it keeps in its present state, null where the formula does not say */
  keepsDays: number | null
  /** factor on the next roll's time, and why */
  nextTimeFactor: number
  /** share of its strength when filled, after water carried in */
  strength: number
  /** g/L of silver, fixers only */
  silverGPerL: number | null
  findings: Finding[]
}
