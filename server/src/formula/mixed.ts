import { mixState, whatGoesIn, type Catalogue, type Formula, type MixEvent, type MixState } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'
import type { Database } from '../table/database'
import { usedFormula } from './used'

/** A mix as core takes it. */
export interface MixFacts {
  formulaId: string
  formula: { body: FormulaBody }
  finalMl: number
  events: MixEvent[]
  secondCheck: boolean
}

export const stateOf = (mix: MixFacts, catalogue: Catalogue): MixState =>
  mixState(usedFormula(mix.formulaId, mix.formula.body), mix.finalMl, mix.events, mix.secondCheck, catalogue)

/** What was really weighed for a mix. */
export const mixedFormula = (mix: MixFacts, catalogue: Catalogue): Formula => whatGoesIn(stateOf(mix, catalogue), catalogue)

/** What was really weighed for the mix of that id. */
export async function mixedFor(db: Database, mixId: string, catalogue: Catalogue): Promise<Formula> {
  const mix = await db.Mix.findByPk(mixId, { include: [{ association: 'madeOf' }], rejectOnEmpty: true })
  const events = await db.MixEvent.findAll({ attributes: ['event'], where: { mixId }, order: [['position', 'asc']], raw: true })
  const { formulaId, body } = mix.madeOf as NonNullable<typeof mix.madeOf>
  const facts = { formulaId, formula: { body }, finalMl: mix.finalMl, secondCheck: mix.secondCheck }
  return mixedFormula({ ...facts, events: events.map((row) => row.event) }, catalogue)
}
