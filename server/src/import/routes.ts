import { requireReason, dayMs, chemicalOf } from '@selvrin/core'
import { importApi, type ImportRow } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { graveFindings } from '../formula/overrule'
import { usedFormula } from '../formula/used'
import { notFound, Refusal } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'
import { writeChart, writeFormulas, writeJars, writeShelves, writeTanks, type Rows, type Write } from './write'
import { writeCoated, writeLamps, writeSwatches } from './writeBench'
import { writeCalibrations, writeEnlargers, writePapers, writePrints } from './writePrint'
import { writeBottles, writeLedger, writeTests } from './writeLedger'

type Writers = { [K in ImportRow['kind']]: (write: Write, rows: Rows<K>) => Promise<number> }
/** Who writes rows of a kind; each answers how many it wrote. */
const writers: Writers = {
  formulas: writeFormulas,
  shelves: writeShelves,
  tanks: writeTanks,
  jars: writeJars,
  chart: writeChart,
  bottles: writeBottles,
  ledger: writeLedger,
  tests: writeTests,
  papers: writePapers,
  enlargers: writeEnlargers,
  calibrations: writeCalibrations,
  prints: writePrints,
  swatches: writeSwatches,
  lamps: writeLamps,
  coated: writeCoated,
}

/** An import as whoever began it goes on with it: nobody writes what someone else has laid ready. */
async function openImport(db: Database, id: string, by: string) {
  const row = await db.Import.findByPk(id, { lock: true })
  if (!row) throw notFound('import')
  if (row.byPerson !== by) throw new Refusal(403, 'not-yours', 'Someone else laid this import ready. Read the file in yourself.')
  if (row.state !== 'open')
    throw new Refusal(
      409,
      'import-over',
      row.state === 'done' ? 'This import is written already.' : 'This import was cancelled. Begin it again.',
    )
  return row
}

const begin: Handler<typeof importApi.begin> = async ({ db, body: { id, kind, rows }, who, now }) => {
  // what was begun and left behind is nobody's any more
  await db.Import.destroy({ where: { state: 'open', at: { [Op.lt]: now - dayMs } } })
  await db.Import.create({ id, kind, rows, byPerson: who.id, at: now })
  return { staged: 0, rows }
}

const stage: Handler<typeof importApi.stage> = async ({ db, params: { id: importId }, body: { from, rows }, who }) => {
  const open = await openImport(db, importId, who.id)
  if (from + rows.length > open.rows)
    throw new Refusal(422, 'too-many-rows', `This import was begun with ${open.rows} rows, and these go beyond. Begin it again.`)
  const catalogue = await catalogueOf(db)
  for (const [i, row] of rows.entries()) {
    if (row.kind !== open.kind) throw new Refusal(422, 'other-kind', `Row ${from + i + 1} is of another kind than this import.`)
    if (row.kind === 'jars') chemicalOf(row.body.chemical, catalogue)
    // a grave finding wants its reason here as it does on the formula's own page
    if (row.kind === 'formulas') requireReason(graveFindings(usedFormula(row.id, row.body), catalogue), row.overrule, 'kept')
  }
  await db.ImportRow.bulkCreate(
    rows.map((row, i) => ({ importId, position: from + i, row })),
    { updateOnDuplicate: ['row'] },
  )
  return { staged: await db.ImportRow.count({ where: { importId } }), rows: open.rows }
}

const close = async (db: Database, id: string, state: 'done' | 'cancelled'): Promise<void> => {
  await db.Import.update({ state }, { where: { id } })
  await db.ImportRow.destroy({ where: { importId: id } })
}

const apply: Handler<typeof importApi.apply> = async ({ db, params: { id }, who, now }) => {
  const open = await openImport(db, id, who.id)
  const staged = await db.ImportRow.findAll({ attributes: ['row'], where: { importId: id }, order: [['position', 'asc']], raw: true })
  if (staged.length !== open.rows)
    throw new Refusal(409, 'incomplete', `Only ${staged.length} of ${open.rows} rows arrived. Nothing was written; send the rest.`)
  const write = writers[open.kind] as (write: Write, rows: ImportRow[]) => Promise<number>
  const written = await write(
    { db, by: who.id, now },
    staged.map((one) => one.row),
  )
  await close(db, id, 'done')
  return { written }
}

const cancel: Handler<typeof importApi.cancel> = async ({ db, params: { id }, who }) => {
  await openImport(db, id, who.id)
  await close(db, id, 'cancelled')
  return { done: true as const }
}

export const importRoutes = [
  answers(importApi.begin, begin),
  answers(importApi.stage, stage),
  answers(importApi.apply, apply),
  answers(importApi.cancel, cancel),
]
