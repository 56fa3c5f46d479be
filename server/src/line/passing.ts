import { decidePassing, emergenceFactor, printEquivalents, tasksOfBath, type PaperBase, type TrainingTask } from '@selvrin/core'
import type { Bottle, lineApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { takeLinesBack } from '../bottle/takeBack'
import { openBottles } from '../bottle/rows'
import { writeDecided } from '../bottle/write'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Who } from '../http/who'
import type { Database, Row } from '../table/database'
import { contentsOf } from '../bottle/contents'
import { catalogueOf } from '../chemical/chemistry'
import { holdToTraining } from '../training/holding'
import { lineRow, lockLine, standingFills } from './rows'

interface Passed {
  id: string
  base: PaperBase
  equivalents: number
  what: string
  by: string
  now: number
}

/** decimals a ledger keeps */
const keptDigits = 4

/** Prints went through: a use of every liquid of the line, by the same ledgers as films. */
export async function passThrough(db: Database, line: Row<'TrayLine'>, { id, base, what, by, now, ...passed }: Passed): Promise<void> {
  const equivalents = Number(passed.equivalents.toFixed(keptDigits))
  const fills = await standingFills(db, line.id)
  const held = await openBottles(
    db,
    fills.flatMap((one) => one.bottleId ?? []),
    now,
  )
  const bottles: Bottle[] = held.map((one) => one.bottle).filter((one) => one.retiredAt === null && one.state.volumeMl > 0)
  const entryIds = bottles.map(() => uuid())
  const note = `tray line ${line.number}${what === '' ? '' : `: ${what}`}`
  await writeDecided(db, decidePassing(bottles, { equivalents, base, note, entryIds }), { by, now, bottles })
  await db.LinePass.create({ id, lineId: line.id, at: now, byPerson: by, base, equivalents, what, entryIds })
}

/** What has to have been shown to whoever carries prints through a line: it may hold a bleach or a toner. A technician needs nobody. */
export async function tasksOfLine(db: Database, line: Row<'TrayLine'> | null, { role }: Pick<Who, 'role'>): Promise<TrainingTask[]> {
  if (line === null || role === 'technician') return []
  const catalogue = await catalogueOf(db)
  const tasks: TrainingTask[] = []
  for (const { bottleId } of await standingFills(db, line.id))
    if (bottleId !== null) tasks.push(...tasksOfBath(await contentsOf(db, bottleId, catalogue), catalogue))
  return [...new Set(tasks)]
}

export const pass: Handler<typeof lineApi.pass> = async ({ db, params: { id }, body, who, now }) => {
  const { passId, base, widthCm, heightCm, count, what } = body
  const line = await lockLine(db, id)
  await holdToTraining(db, who, await tasksOfLine(db, line, who), now)
  await passThrough(db, line, { id: passId, base, equivalents: printEquivalents({ widthCm, heightCm, count }), what, by: who.id, now })
  return lineRow(db, id, now)
}

/** They did not go through: every line it wrote is taken back by a second one. Whose it is says so, or a technician. */
export const passBack: Handler<typeof lineApi.passBack> = async ({ db, params: { id, passId }, body: { reason }, who, now }) => {
  await lockLine(db, id)
  const row = await db.LinePass.findOne({ where: { id: passId, lineId: id } })
  if (!row) throw notFound('print')
  if (who.role !== 'technician' && row.byPerson !== who.id)
    throw new Refusal(403, 'not-yours', 'Someone else wrote that down. Ask them, or a technician.')
  if (row.backAt !== null) throw new Refusal(409, 'stale', 'That was taken back already.')
  await row.update({ backAt: now, backBy: who.id })
  const lines = await db.BottleEntry.findAll({ where: { id: row.entryIds }, order: ['seq'] })
  const back = await db.BottleEntry.findAll({ attributes: ['reverses'], where: { reverses: row.entryIds }, raw: true })
  const standing = lines.filter((line) => !back.some((one) => one.reverses === line.id))
  await takeLinesBack(db, standing, { by: who.id, now, reason })
  return lineRow(db, id, now)
}

/** How late a tone comes up: a reading with its temperature and its paper, or none. */
export const emergence: Handler<typeof lineApi.emergence> = async ({ db, params: { id }, body, who, now }) => {
  const { readingId, fillId, paperId, celsius, seconds } = body
  await lockLine(db, id)
  const fill = (await standingFills(db, id)).find((one) => one.id === fillId)
  if (fill?.role !== 'develop') throw notFound('tray of developer')
  const paper = await db.Paper.findByPk(paperId)
  if (!paper) throw notFound('paper')
  const { base, holdsDeveloper } = paper.body
  emergenceFactor({ developS: seconds, emergenceS: seconds, base, holdsDeveloper })
  await db.Emergence.create({ id: readingId, fillId, paperId, at: now, byPerson: who.id, seconds, celsius })
  return lineRow(db, id, now)
}
