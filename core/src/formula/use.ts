import type { Formula } from './formula'

/** How a bath is used up; docs/domain/bottles.md tells them apart. */
export const schools = ['one-shot', 'counted', 'compensated', 'replenished', 'two-bath'] as const
export type School = (typeof schools)[number]

/** Days a solution keeps at room temperature; null means the formula does not say. */
export interface Keeping {
  fullDays: number | null
  halfDays: number | null
  workingDays: number | null
  /** in an open tray; as working strength where not given */
  trayDays?: number | null | undefined
}

/** What a fixer fixes: it sets how much silver it may hold. */
export const fixables = ['film', 'rc-paper', 'fibre-paper'] as const
export type Fixable = (typeof fixables)[number]

/** How the time grows with use: a share per roll and litre, or a table of steps that hold from so many rolls a litre on. */
export type Compensation = { perRoll: number } | { table: { rollsPerL: number; factor: number }[] }

interface Replenishment {
  mlPerRoll: number
  /** it is over when so many times the bath's volume of replenisher went in */
  turnovers: number
  /** formula of the replenisher, where it is another than the bath's own */
  formulaId?: string | null | undefined
}

interface TwoBath {
  /** moves of a second bath to the first place, after whose cycle both are discarded */
  moves: number
  /** days after which both are discarded; null by moves alone */
  days: number | null
}

/** How a formula is used, beside how it is mixed. */
export interface FormulaUse {
  school: School
  /** roll equivalents a litre of working solution is good for; a first bath's before it moves; not used by one-shot and replenished */
  capacityRollsPerL: number | null
  keeping: Keeping
  /** dilutions it is used at, as parts; [1] is undiluted */
  dilutions: number[][]
  /** ml of stock or concentrate one roll uses up */
  minConcentrateMlPerRoll: number
  compensation?: Compensation | undefined
  replenishment?: Replenishment | undefined
  twoBath?: TwoBath | undefined
  /** fixers: what they fix, film where not given */
  fixes?: Fixable | undefined
  /** fixers: to the stricter limits of work that must keep */
  longKeeping?: boolean | undefined
}

export type UsedFormula = Formula & { use: FormulaUse }
