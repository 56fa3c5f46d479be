import { requireTry, type EnlargerBody, type PaperBody, type TrySetup } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { oneAtATime } from '../house/queries'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { requireSound } from '../print/calibrations'
import type { Database } from '../table/database'
import { asItWas, type Rows, type Write } from './write'

/** Papers, and the boxes of them that come in with what is left in each. */
export async function writePapers({ db, by, now }: Write, rows: Rows<'papers'>): Promise<number> {
  for (const { id, version, body, boxes } of rows) {
    if (version === null) await db.Paper.create({ id, body })
    else await asItWas(changed(await db.Paper.findByPk(id), body, version), 'A paper')
    for (const { id: boxId, body: box, left, at, openedAt } of boxes) {
      const came = { boxId, at: at ?? now, byPerson: by }
      await db.PaperBox.create({ id: boxId, paperId: id, body: box, madeBy: by, madeAt: at ?? now, openedAt })
      await db.PaperEntry.create({ id: uuid(), ...came, kind: 'in', sheets: box.sheets })
      if (left !== box.sheets) await db.PaperEntry.create({ id: uuid(), ...came, at: now, kind: 'count', sheets: left - box.sheets })
    }
  }
  return rows.length
}

/** Enlargers, new or changed. */
export async function writeEnlargers({ db }: Write, rows: Rows<'enlargers'>): Promise<number> {
  for (const { id, version, body } of rows) {
    if (version === null) await db.Enlarger.create({ id, body })
    else await asItWas(changed(await db.Enlarger.findByPk(id), body, version), 'An enlarger')
  }
  return rows.length
}

/** A row with a body. */
interface Bodied<Body> {
  set: (to: { body: Body }) => Parameters<typeof saveSeen>[0]
}
export async function changed<Body>(row: Bodied<Body> | null, body: Body, version: number): Promise<void> {
  if (!row) throw notFound('row')
  const next = row.set({ body })
  await saveSeen(next, version, () => next)
}

/** What was matched and measured, of enlargers and papers of the house. */
export async function writeCalibrations({ db, by }: Write, rows: Rows<'calibrations'>): Promise<number> {
  for (const { id, at, body } of rows) {
    await requireSound(db, body)
    await db.Calibration.create({ id, at, byPerson: by, body })
  }
  return rows.length
}

/** What prints may be made with: boxes with their papers, and enlargers. */
async function printRoom(db: Database, setups: TrySetup[]) {
  const ids = (of: 'boxId' | 'enlargerId'): string[] => [...new Set(setups.map((one) => one[of]))]
  const boxes = await db.PaperBox.findAll({ attributes: ['id', 'paperId'], where: { id: ids('boxId') }, raw: true })
  const papers = await db.Paper.findAll({ where: { id: boxes.map((one) => one.paperId) } })
  const enlargers = await db.Enlarger.findAll({ where: { id: ids('enlargerId') } })
  return (setup: TrySetup): { paper: PaperBody; enlarger: EnlargerBody } => {
    const paperId = boxes.find((one) => one.id === setup.boxId)?.paperId
    const paper = papers.find((one) => one.id === paperId)?.body
    const enlarger = enlargers.find((one) => one.id === setup.enlargerId)?.body
    if (!paper) throw notFound('box')
    if (!enlarger) throw notFound('enlarger')
    return { paper, enlarger }
  }
}

/** Sheets of prints with their tries. Their paper was drawn before its box was counted here: it is drawn, for its cost, and counted in again. */
export async function writePrints({ db, by, now }: Write, rows: Rows<'prints'>): Promise<number> {
  const roomOf = await printRoom(
    db,
    rows.flatMap(({ body }) => [body.setup, ...body.tries.map((one) => one.setup)]),
  )
  for (const { body } of rows) {
    roomOf(body.setup)
    for (const { plan, setup } of body.tries) requireTry(plan, roomOf(setup))
  }
  const owners = new Set(rows.flatMap(({ body }) => body.memberId ?? []))
  if ((await db.Person.count({ where: { id: [...owners], active: true } })) !== owners.size)
    throw new Refusal(422, 'no-person', 'Whose print is it? That person is not there any more.', { field: 'memberId' })
  await oneAtATime(db, 'print number')
  const last = ((await db.Sheet.max('number')) as number | null) ?? 0
  await db.Sheet.bulkCreate(rows.map(({ id, body: { tries: _, ...sheet } }, i) => ({ id, number: last + 1 + i, ...sheet, byPerson: by })))
  const tries = rows.flatMap(({ id: sheetId, body }) =>
    body.tries.map(({ sheets, ...one }) => ({ sheets, row: { id: uuid(), sheetId, byPerson: body.memberId, ...one } })),
  )
  await db.PrintTry.bulkCreate(tries.map((one) => one.row))
  await db.PaperEntry.bulkCreate(
    tries
      .filter((one) => one.sheets > 0)
      .flatMap(({ row: { id: tryId, at, setup }, sheets }) => [
        { id: uuid(), boxId: setup.boxId, byPerson: by, at, kind: 'draw' as const, sheets: -sheets, tryId },
        {
          id: uuid(),
          boxId: setup.boxId,
          byPerson: by,
          at: now,
          kind: 'count' as const,
          sheets,
          note: 'Drawn before this box was counted here.',
        },
      ]),
  )
  return rows.length
}
