import { DomainError, estimatePh, explainReading, perLitre, type Catalogue, type Explanation, type Formula } from '@selvrin/core'
import type { FormulaBatch } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { nameOf, withName } from '../house/left'
import type { Database } from '../table/database'
import { mixedFor } from './mixed'
import { usedFormula } from './used'

/** °C a pH is taken at where nobody wrote it down. */
const usualC = 20

/** null where nothing is known of some of what is asked about */
function known<T>(answer: () => T): T | null {
  try {
    return answer()
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
}

/** What is expected of a solution at °C; null where nothing is known of some of it. */
export const expectedPh = (formula: Formula, celsius: number | null, catalogue: Catalogue): { ph: number; uncertainty: number } | null =>
  known(() => estimatePh(perLitre(formula, catalogue), { atC: celsius ?? usualC }, catalogue))

const explanation = (formula: Formula, ph: number, celsius: number | null, catalogue: Catalogue): Explanation | null =>
  known(() => explainReading(perLitre(formula, catalogue), ph, { atC: celsius ?? usualC }, catalogue))

/** Batches mixed of a formula, newest first, each with its pH held against the version it was mixed from and what was weighed for it. */
export async function formulaBatches(db: Database, formulaId: string): Promise<FormulaBatch[]> {
  const rows = await db.Batch.findAll({
    include: [withName(), { association: 'madeOf', where: { formulaId }, required: true }],
    order: [['madeAt', 'desc']],
    limit: 100,
  })
  const catalogue = await catalogueOf(db)
  const batches: FormulaBatch[] = []
  for (const row of rows) {
    const { number, body } = row.madeOf as NonNullable<typeof row.madeOf>
    const { id, madeAt, mixId, ph, phCelsius, phWhy, note } = row
    const mixed = ph !== null && mixId !== null ? await mixedFor(db, mixId, catalogue) : usedFormula(formulaId, body)
    const explained = ph === null ? null : explanation(mixed, ph, phCelsius, catalogue)
    batches.push({ id, number, madeAt, madeBy: nameOf(row.by), ph, phCelsius, phWhy, note, explained })
  }
  return batches
}
