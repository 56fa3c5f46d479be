import type { BottleState, Brought } from '@selvrin/core'
import type { LedgerEntry } from '@selvrin/core/contract'
import type { CreationAttributes } from 'sequelize'
import { v7 as uuid } from 'uuid'
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

export const writeEntries = async (db: Database, lines: NewEntry[]): Promise<void> => {
  if (lines.length > 0) await insertLines(db, lines)
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

/** What liquid taken from a bottle in that state takes along. */
export const broughtFrom = (state: BottleState): Brought => ({
  strength: state.strength,
  rollsPerL: state.rollsPerL,
  silverGPerL: state.silverGPerL ?? 0,
  aged: state.aged,
  ...(state.tests.length > 0 ? { tests: state.tests } : {}),
  ...(state.fixS === null ? {} : { fixS: state.fixS }),
  ...(state.clearingTimes.length > 0 ? { clearingTimes: state.clearingTimes } : {}),
  ...(state.clearingRead.length > 0 ? { clearingRead: state.clearingRead } : {}),
})

/** What working strength made of a stock has behind it: it is fresh, but what the stock failed it has failed too. */
export const dilutedFrom = ({ tests }: BottleState): Brought | undefined => {
  const failed = tests.filter((one) => one.failed)
  return failed.length > 0 ? { strength: 1, rollsPerL: 0, silverGPerL: 0, aged: 0, tests: failed } : undefined
}

interface Waste {
  at: number
  by: string
  family: string
  ml: number
  silverGPerL: number | null
  bottleId: string
  entryId: string
  note: string
}

/** What was poured away, of which family and with how much silver; its drum comes with the Sink. */
export const writeWaste = ({ WasteEntry }: Database, { by, silverGPerL, ...waste }: Waste): Promise<unknown> =>
  WasteEntry.create({ ...waste, id: uuid(), byPerson: by, silverG: ((silverGPerL ?? 0) * waste.ml) / 1000 }, { returning: false })

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
