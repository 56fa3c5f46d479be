import type { Jar, JarPage } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'
import { jarLedger, jarsWithSums } from './queries'

export async function jarRow(db: Database, id: string): Promise<Jar> {
  const [row] = await jarsWithSums(db, { ids: [id], after: null, limit: null })
  if (!row) throw notFound('jar')
  return row
}

/** A jar with its ledger. */
export async function jarPage(db: Database, id: string): Promise<JarPage> {
  return { ...(await jarRow(db, id)), ledger: await jarLedger(db, id) }
}

/** The jar with its row locked, so that its sum holds until the end of the transaction. */
export async function lockJar(db: Database, id: string): Promise<Jar> {
  await db.Jar.findByPk(id, { attributes: ['id'], lock: true })
  return jarRow(db, id)
}
