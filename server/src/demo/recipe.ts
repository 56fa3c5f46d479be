import type { FormulaBody } from '@selvrin/core/contract'

/* How a demo formula is written down in short. */

type Part = Partial<FormulaBody> & Pick<FormulaBody, 'name' | 'family' | 'purpose' | 'use'>

export const body = (part: Part): FormulaBody => ({
  finalMl: 1000,
  startMl: 750,
  mixC: 45,
  additions: [],
  usualS: null,
  temperatureCoefficient: null,
  rangeC: null,
  note: '',
  ...part,
})
export const g = (chemical: string, grams: number, more: Partial<FormulaBody['additions'][number]> = {}) => ({ chemical, grams, ...more })
export const ml = (chemical: string, millilitres: number, more: Partial<FormulaBody['additions'][number]> = {}) => ({
  chemical,
  millilitres,
  ...more,
})
export const keeps = (fullDays: number | null, halfDays: number | null, workingDays: number | null) => ({ fullDays, halfDays, workingDays })
export const oneShot = (dilutions: number[][], minConcentrateMlPerRoll: number, keeping: ReturnType<typeof keeps>): FormulaBody['use'] => ({
  school: 'one-shot',
  capacityRollsPerL: null,
  dilutions,
  minConcentrateMlPerRoll,
  keeping,
})
export const counted = (dilutions: number[][], capacityRollsPerL: number, keeping: ReturnType<typeof keeps>): FormulaBody['use'] => ({
  school: 'counted',
  capacityRollsPerL,
  dilutions,
  minConcentrateMlPerRoll: 0,
  keeping,
})
