import {
  DomainError,
  estimatePh,
  explainReading,
  perLitre,
  whatGoesIn,
  type Catalogue,
  type Explanation,
  type Formula,
} from '@selvrin/core'
import type { FormulaBatch, FormulaBody, Mix } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import type { Database } from '../database/connection'
import { mixRow, stateOf } from '../mix/rows'
import { usedFormula } from './used'

/** °C a pH is taken at where nobody wrote it down. */
const usualC = 20

/** What is expected of a solution at °C; null where nothing is known of some of it. */
export function expectedPh(formula: Formula, celsius: number | null, catalogue: Catalogue): { ph: number; uncertainty: number } | null {
  try {
    return estimatePh(perLitre(formula, catalogue), { atC: celsius ?? usualC }, catalogue)
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
}

function explanation(formula: Formula, ph: number, celsius: number | null, catalogue: Catalogue): Explanation | null {
  try {
    return explainReading(perLitre(formula, catalogue), ph, { atC: celsius ?? usualC }, catalogue)
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
}

/** What was really weighed for a mix. */
export const mixedFormula = (mix: Mix, catalogue: Catalogue): Formula => whatGoesIn(stateOf(mix, catalogue), catalogue)

/** Batches mixed of a formula, newest first, each with its pH held against the version it was mixed from and what was weighed for it. */
export async function formulaBatches(db: Database, formulaId: string, tx?: Transaction): Promise<FormulaBatch[]> {
  const rows = await db.rows<Omit<FormulaBatch, 'explained'> & { mixId: string | null; body: FormulaBody }>(
    `select b.id, v.number, b.made_at as "madeAt", coalesce(p.name, 'someone who left') as "madeBy", b.ph, b.ph_celsius as "phCelsius", b.ph_why as "phWhy", b.note, b.mix_id as "mixId", v.body
     from batch b join formula_version v on v.id = b.formula_version_id left join person p on p.id = b.made_by
     where v.formula_id = $1 order by b.made_at desc limit 100`,
    [formulaId],
    tx,
  )
  const catalogue = await catalogueOf(db, tx)
  const batches: FormulaBatch[] = []
  for (const { mixId, body, ...row } of rows) {
    const mixed = () => usedFormula(formulaId, body)
    const formula: Formula = row.ph !== null && mixId !== null ? mixedFormula(await mixRow(db, mixId, tx), catalogue) : mixed()
    batches.push({ ...row, explained: row.ph === null ? null : explanation(formula, row.ph, row.phCelsius, catalogue) })
  }
  return batches
}
