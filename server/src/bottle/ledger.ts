import type { LedgerEntry, LedgerLine } from '@selvrin/core/contract'
import { Op, type CreationAttributes } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Database, Row } from '../table/database'
import { settle } from './checkpoint'
import { heldBefore, insertLines, ledgerLines, lockRows, type StoredEntry } from './queries'

/** Locks the bottles' rows, always in the same order, so that sums read after it hold until the end of the transaction. */
export async function lockAll(db: Database, ids: string[]): Promise<void> {
  if ((await lockRows(db, ids)).length < new Set(ids).size) throw notFound('bottle')
}

/** Locks bottles of which not more is asked. */
export async function lockBottles(db: Database, ids: string[]): Promise<void> {
  await lockAll(db, ids)
  await settle(db, ids)
}

/** A line as it is written; lines of one `groupId` were written together and are taken back together. */
export type NewEntry = Omit<CreationAttributes<Row<'BottleEntry'>>, 'byPerson'> & { by: string }

/** Lines as they happen now; `past` for those that are brought in with the time they have. */
export const writeEntries = async (db: Database, lines: NewEntry[], { past = false } = {}): Promise<void> => {
  if (lines.length > 0) await insertLines(db, lines, past)
}
export const writeEntry = (db: Database, line: NewEntry): Promise<void> => writeEntries(db, [line])

/** A line that is being written, as it will be read. */
export const asRead = (entry: NewEntry): StoredEntry => ({
  throughput: [],
  waterInMl: 0,
  reverses: null,
  brings: null,
  celsius: null,
  container: null,
  twoBath: null,
  test: null,
  ...entry,
  seq: Infinity,
})

const pageLines = 100

/** Lines of a ledger, newest first, each with the volume after it: reckoned back from the present sum, so that it costs a page, not a history. */
export async function ledgerPage(
  db: Database,
  { bottleId, after, heldMl }: { bottleId: string; after: string | null; heldMl?: number },
): Promise<{ rows: LedgerEntry[]; more: boolean }> {
  let balanceMl = heldMl ?? (await heldBefore(db, { bottleId, after }))[0]?.ml ?? 0
  const lines = await ledgerLines(db, { bottleId, after, limit: pageLines + 1 })
  const rows = lines.slice(0, pageLines).map((line): LedgerEntry => {
    const shown = { ...line, balanceMl }
    balanceMl -= line.ml
    return shown
  })
  return { rows, more: lines.length > pageLines }
}

/** Lines of every ledger as they go into a file, in the order of writing, from behind one. */
export async function allLines(db: Database, { after, limit }: { after: string | null; limit: number }): Promise<LedgerLine[]> {
  const last = after === null ? null : await db.BottleEntry.findByPk(after, { attributes: ['seq'] })
  if (after !== null && !last) return []
  const where = last ? { seq: { [Op.gt]: last.seq } } : {}
  const rows = await db.BottleEntry.findAll({ where, include: [withName()], order: [['seq', 'asc']], limit })
  return rows.map((row) => {
    const { test, note, ...line } = row.get()
    return { ...line, by: nameOf(row.by), overrules: test?.overruled == null ? null : test.kind, note: test?.overruled ?? note }
  })
}
