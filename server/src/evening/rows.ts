import { partsOfBaths, readPlan, type DueRule, type EveningHouse, type LoadRun } from '@selvrin/core'
import type { Evening, EveningPage, EveningSummary } from '@selvrin/core/contract'
import { Op, type WhereOptions } from 'sequelize'
import { bottlesOfEvening } from '../bottle/rows'
import { shown as shownChart, withNames } from '../chart/rows'
import { newestFormulas } from '../formula/queries'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import { byWish, ordersWhere } from '../order/rows'
import { printsWhere } from '../printing/places'
import { newestProcesses } from '../process/queries'
import { vesselRows } from '../run/queries'
import type { Database, Row } from '../table/database'
import { outOfOrder } from './faults'
import { roomOf } from './roomFacts'

const all = { ids: null, after: null, limit: null }

/** The last change of an evening that was not taken back. */
const lastOf = (db: Database, eveningId: string): Promise<Row<'EveningChange'> | null> =>
  db.EveningChange.findOne({ include: [withName()], where: { eveningId, undone: false }, order: [['id', 'desc']] })

export async function eveningRow(db: Database, id: string): Promise<Evening> {
  const row = await db.Evening.findByPk(id)
  if (!row) throw notFound('evening')
  const last = await lastOf(db, id)
  const { version, day, body } = row
  return { id, version, day, body, last: last && { what: last.what, by: nameOf(last.by), at: last.at } }
}

/** Evenings the latest first. */
export const eveningSummaries = async (db: Database, where: WhereOptions, limit: number): Promise<EveningSummary[]> =>
  (await db.Evening.findAll({ where, order: [['opensAt', 'desc']], limit, raw: true })).map(
    ({ id, version, day, body, opensAt, closesAt }) => ({
      ...{ id, version, day, opensAt, closesAt, loads: body.loads.length },
      without: body.loads.filter((load) => load.place === null).length,
    }),
  )

/** Runs that loads have become. */
export async function runsOf(db: Database, ids: string[]): Promise<LoadRun[]> {
  const rows = await db.Run.findAll({
    attributes: ['id', 'number', 'state', 'startedAt', 'endedAt', 'plan'],
    where: { id: ids },
    raw: true,
  })
  return rows.map((row) => ({ ...row, plan: readPlan(row.plan) }))
}

/** Versions of processes that are named and are not the newest any more. */
async function olderVersions(db: Database, named: string[], newest: EveningHouse['processes']): Promise<EveningHouse['versions']> {
  const missing = [...new Set(named)].filter((id) => !newest.some((one) => one.versionId === id))
  if (missing.length === 0) return {}
  const rows = await db.ProcessVersion.findAll({ attributes: ['id', 'body'], where: { id: missing }, raw: true })
  return Object.fromEntries(rows.map(({ id, body }) => [id, { ...body, id }]))
}

/** All an evening stands on: the shelf, the chart, the room, as they are now, and the places at enlargers that fit. Chemicals are core's own and this darkroom's, which its reader has. */
export async function houseOf(
  db: Database,
  { loads, prints }: { loads: Evening['body']['loads']; prints: WhereOptions },
  now: number,
): Promise<Omit<EveningHouse, 'catalogue'>> {
  const darkroom = await db.Darkroom.findOne({ attributes: ['zone', 'hangers'], raw: true })
  const { version: _, ...room } = await roomOf(db)
  const processes = (await newestProcesses(db, all)).map(({ id, versionId, body }) => ({ id, versionId, body }))
  const named = loads.map((load) => load.request.processVersionId)
  return {
    ...{ zone: darkroom?.zone ?? 'UTC', hangers: darkroom?.hangers ?? 8, room, processes },
    versions: await olderVersions(db, named, processes),
    vessels: await vesselRows(db, all),
    chart: (await db.ChartRow.findAll({ ...withNames, order: ['id'] })).map(shownChart),
    partOf: partsOfBaths(await newestFormulas(db, all)),
    bottles: await bottlesOfEvening(db, now),
    rules: (await db.DueRule.findAll({ raw: true })) as DueRule[],
    prints: await printsWhere(db, prints),
    out: await outOfOrder(db),
  }
}

/** orders that wait which an evening's page is told of; more are found by their words */
const mostWaiting = 100

/** An evening with all it stands on, with the orders that are in it or `named`, and those that wait and are there before it closes, the most pressing first. */
export async function eveningPage(db: Database, id: string, now: number, named: string[] = []): Promise<EveningPage> {
  const evening = await eveningRow(db, id)
  const { loads, people } = evening.body
  const house = await houseOf(db, { loads, prints: { day: evening.day } }, now)
  const mine = [...new Set([...named, ...loads.flatMap((load) => load.orders)])]
  const inTime = { [Op.or]: [{ earliest: null }, { earliest: { [Op.lt]: evening.body.closesAt } }] }
  const waiting = { state: 'waiting', id: { [Op.notIn]: mine }, ...inTime }
  const names = await db.Person.findAll({
    attributes: ['id', 'name'],
    where: {
      [Op.or]: [
        { id: [...people.map((one) => one.personId), ...house.prints.map((one) => one.memberId)] },
        { role: 'technician', active: true },
      ],
    },
    raw: true,
  })
  return {
    ...{ evening, house },
    runs: await runsOf(
      db,
      loads.map((load) => load.id),
    ),
    orders: [...(await ordersWhere(db, { id: mine })), ...(await ordersWhere(db, waiting, { order: byWish, limit: mostWaiting }))],
    waiting: await db.FilmOrder.count({ where: waiting }),
    people: Object.fromEntries(names.map(({ id: person, name }) => [person, name])),
    ticked: (await db.EveningTick.findAll({ attributes: ['task'], where: { eveningId: id }, raw: true })).map((row) => row.task),
  }
}
