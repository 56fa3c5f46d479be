import type { ChemicalId } from '../chemical/chemical'

/** What an addition is for. */
export const additionRoles = ['developer', 'preservative', 'alkali', 'restrainer', 'acid', 'fixer', 'hardener', 'other'] as const
export type AdditionRole = (typeof additionRoles)[number]

/** One line of a formula, for `finalMl` of it: exactly one of grams and millilitres. */
export interface Addition {
  chemical: ChemicalId
  grams?: number
  millilitres?: number
  /** a % w/v stock solution, drawn in millilitres */
  percent?: number
  /** °C at which it goes in, where that is not the formula's mixing temperature */
  atC?: number
  role?: AdditionRole
  /** a sealed pack that must be used whole */
  wholePack?: boolean
  note?: string
}

export interface Formula {
  id: string
  name: string
  family: string
  finalMl: number
  startMl: number
  mixC: number
  storeMinC?: number
  water?: 'tap' | 'deionised'
  /** in the order in which they go in */
  additions: Addition[]
}
