import {
  filterWayFor,
  nextTry,
  printEquivalents,
  printOfStrip,
  requireTry,
  type FilterWay,
  type PrintTry,
  type TrySetup,
} from '@selvrin/core'
import type { PrintTryRow, traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { notFound, Refusal } from '../house/refusal'
import { saveNext, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import { passThrough, tasksOfLine } from '../line/passing'
import { openLine } from '../line/rows'
import type { Database, Row } from '../table/database'
import { holdToTraining } from '../training/holding'
import { calibrationRows } from './calibrations'
import { boxRow, ownSheet, tryRows } from './rows'

async function tryRow(db: Database, id: string): Promise<PrintTryRow> {
  const [row] = await tryRows(db, { id })
  if (!row) throw notFound('try')
  return row
}

async function enlargerOf(db: Database, { enlargerId }: TrySetup): Promise<Row<'Enlarger'>> {
  const row = await db.Enlarger.findByPk(enlargerId)
  if (!row) throw notFound('enlarger')
  return row
}

/** How grades are changed with that enlarger and paper: by its wedges, where somebody read them. */
async function filterWay(db: Database, setup: TrySetup): Promise<FilterWay> {
  const { id, body } = await enlargerOf(db, setup)
  const box = await db.PaperBox.findByPk(setup.boxId, { attributes: ['paperId'] })
  const paper = box && (await db.Paper.findByPk(box.paperId))
  return filterWayFor(
    { id, filters: body.filters },
    paper ? { id: paper.id, material: paper.body.material } : undefined,
    await calibrationRows(db),
  )
}

/** The box, locked: two who draw its last sheet wait for each other. */
async function drawnFrom(db: Database, { boxId }: TrySetup, sheets: number): Promise<Row<'PaperBox'>> {
  const row = await db.PaperBox.findByPk(boxId, { lock: true })
  if (!row) throw notFound('box')
  const { left } = await boxRow(db, boxId)
  if (sheets > left + 1e-9)
    throw new Refusal(
      409,
      'box-empty',
      `There ${left === 1 ? 'is 1 sheet' : `are ${Number(left.toFixed(2))} sheets`} left in that box. Take another, or count it.`,
      {
        field: 'setup',
      },
    )
  return row
}

/** Where a tray line stands open, what was exposed goes through it; colour paper goes through baths of its own. */
async function throughTheLine(
  db: Database,
  of: { box: Row<'PaperBox'>; paper: Row<'Paper'>; sheets: number; sheetId: string; by: string; now: number },
): Promise<void> {
  if (of.paper.body.material !== 'black-and-white') return
  const line = await openLine(db, { lock: true })
  if (!line) return
  const { widthCm, heightCm } = of.box.body
  const equivalents = printEquivalents({ widthCm, heightCm, count: of.sheets })
  const sheet = await db.Sheet.findByPk(of.sheetId, { attributes: ['number'], rejectOnEmpty: true })
  await passThrough(db, line, { id: uuid(), base: of.paper.body.base, equivalents, what: `print ${sheet.number}`, by: of.by, now: of.now })
}

/** A strip or a print was exposed; its paper is drawn from its box, which is open from then on. */
export const expose: Handler<typeof traysApi.expose> = async ({ db, params: { id: sheetId }, body, who, now }) => {
  const { id, entryId, setup, plan, sheets } = body
  await ownSheet(db, sheetId, who)
  const box = await drawnFrom(db, setup, sheets)
  const paper = await db.Paper.findByPk(box.paperId, { rejectOnEmpty: true })
  requireTry(plan, { paper: paper.body, enlarger: (await enlargerOf(db, setup)).body })
  if (paper.body.material !== 'black-and-white') await holdToTraining(db, who, ['colour-developers'], now)
  else await holdToTraining(db, who, await tasksOfLine(db, await openLine(db), who), now)
  await db.PrintTry.create({ id, sheetId, at: now, byPerson: who.id, setup, plan })
  await db.PaperEntry.create({ id: entryId, boxId: box.id, at: now, byPerson: who.id, kind: 'draw', sheets: -sheets, tryId: id })
  await throughTheLine(db, { box, paper, sheets, sheetId, by: who.id, now })
  if (box.openedAt === null) await saveNext(box.set({ openedAt: now }))
  return tryRow(db, id)
}

/** A try with the band somebody chose, where it is a strip. */
function judged(plan: PrintTry, chosen: [number] | [number, number] | null): PrintTry {
  if (plan.kind === 'print') {
    if (chosen !== null) throw new Refusal(422, 'no-strip', 'Only a strip has bands.', { field: 'chosen' })
    return plan
  }
  const next = { ...plan, chosen }
  if (chosen !== null) printOfStrip(next)
  return next
}

/** What is to be said of a try: a band of a strip, or what the next print shall have otherwise. */
export const judge: Handler<typeof traysApi.judge> = async ({ db, params: { id: sheetId, tryId }, body, who }) => {
  const { version, chosen, said, note } = body
  await ownSheet(db, sheetId, who)
  const row = await db.PrintTry.findOne({ where: { id: tryId, sheetId } })
  if (!row) throw notFound('try')
  const plan = judged(row.plan, chosen)
  if (plan.kind === 'print') nextTry(plan, said, await filterWay(db, row.setup))
  else if (said.length > 0)
    throw new Refusal(422, 'strip', 'Of a strip a band is chosen; what is to be otherwise is said of a print.', { field: 'said' })
  await saveSeen(row.set({ plan, said, note }), version, () => tryRow(db, tryId))
  return tryRow(db, tryId)
}
