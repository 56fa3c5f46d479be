import { fixerClassOf, type Reference, type TestKind } from '@selvrin/core'
import type { Bottle, Instrument, Proof, ProofContext } from '@selvrin/core/contract'
import { contentsOf } from '../bottle/contents'
import { catalogueOf } from '../chemical/chemistry'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'
import { freshReadings, instrumentRows, proofRows, type FreshReading } from './queries'

/** Tests newest first; of one bottle, or of everything. */
export const proofsOf = (db: Database, ask: { bottleId: string | null; limit: number; after: string | null }): Promise<Proof[]> =>
  proofRows(db, { id: null, ...ask })

export async function proofRow(db: Database, id: string): Promise<Proof> {
  const [row] = await proofRows(db, { id, bottleId: null, after: null, limit: 1 })
  if (!row) throw notFound('test')
  return row
}

/** What each kind of test of a bottle is held against: its batch's fresh reading, or the mean of the formula's other fresh batches. */
async function referencesOf(db: Database, { formulaId, batchId, parts }: Bottle): Promise<Partial<Record<TestKind, Reference>>> {
  const fresh = await freshReadings(db, { formulaId, batchId, parts })
  const batch = batchId === null ? null : await db.Batch.findByPk(batchId, { attributes: ['ph', 'phCelsius'] })
  const references: Partial<Record<TestKind, Reference>> = {}
  for (const kind of new Set(fresh.map((one) => one.kind))) {
    const mine = fresh.filter((one) => one.kind === kind)
    const own = mine.find((one) => one.own)
    const mean = mine.reduce((sum, one) => sum + one.value, 0) / mine.length
    references[kind] = own
      ? { value: own.value, celsius: own.celsius, slowClearing: own.slowClearing, from: 'batch' }
      : { value: mean, celsius: sameTemperature(mine), slowClearing: null, from: 'formula' }
  }
  // the closing check of the mix is the fresh reading of the pH, of stock only
  if (batch?.ph != null && parts === null)
    for (const kind of ['developer-ph', 'fixer-ph'] as const)
      if (references[kind]?.from !== 'batch') references[kind] = { value: batch.ph, celsius: batch.phCelsius, from: 'batch' }
  return references
}

const sameTemperature = (rows: FreshReading[]): number | null => {
  const known = rows.flatMap((one) => one.celsius ?? [])
  return known.length === rows.length && Math.max(...known) - Math.min(...known) <= 1
    ? known.reduce((sum, c) => sum + c, 0) / known.length
    : null
}

/** All a test of this bottle is judged with. */
export async function contextOf(db: Database, bottle: Bottle): Promise<Omit<ProofContext, 'proofs'>> {
  const references = await referencesOf(db, bottle)
  // of the version it was mixed from, and by what was weighed for it
  const catalogue = await catalogueOf(db)
  const contents = await contentsOf(db, bottle.id, catalogue)
  const hardening = contents.additions.some((line) => catalogue[line.chemical]?.natures.includes('alum'))
  const freshPh = references['fixer-ph']?.value
  return {
    references,
    silverLimitGPerL: bottle.state.silverLimitGPerL,
    hardening,
    fixerClass: freshPh === undefined ? null : fixerClassOf(freshPh, hardening),
    usualS: bottle.usualS,
  }
}

export async function instrumentRow(db: Database, id: string): Promise<Instrument> {
  const [row] = await instrumentRows(db, { ids: [id], after: null, limit: null })
  if (!row) throw notFound('instrument')
  return row
}
