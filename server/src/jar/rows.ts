import type { Jar, JarEntry, JarPage } from '@selvrin/core/contract'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'
import { jarsWithSums } from './queries'

export async function jarRow(db: Database, id: string): Promise<Jar> {
  const [row] = await jarsWithSums(db, { ids: [id], after: null, limit: null })
  if (!row) throw notFound('jar')
  return row
}

/** Lines written in the same moment stand as they were meant: what was put in before what was taken. */
const byTime = (a: { at: number; kind: string; id: string }, b: typeof a): number =>
  a.at - b.at || Number(a.kind === 'consume') - Number(b.kind === 'consume') || (a.id < b.id ? -1 : 1)

/** The whole ledger of a jar, newest line first, each with what the jar held after it. */
async function jarLedger(db: Database, jarId: string): Promise<JarEntry[]> {
  const rows = (await db.JarEntry.findAll({ where: { jarId }, include: [withName()] })).sort(byTime)
  const reversedBy = new Map(rows.map((row) => [row.reverses, row.id]))
  let balanceG = 0
  return rows
    .map(({ id, kind, grams, at, by, note, mixId, reverses }) => {
      balanceG += grams
      return { id, kind, grams, balanceG, at, by: nameOf(by), note, mixId, reverses, reversedBy: reversedBy.get(id) ?? null }
    })
    .reverse()
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
