import { api } from '@selvrin/core/contract'
import { isDeepStrictEqual } from 'node:util'
import { asSeen, destroySeen, saveSeen } from '../http/changing'
import { byId, pageOf } from '../http/page'
import { notFound } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'
import { shown, withNames } from './rows'

async function rowOf(db: Database, id: string) {
  const row = await db.ChartRow.findByPk(id, withNames)
  if (!row) throw notFound('row of the chart')
  return row
}
const shownOf = async (db: Database, id: string) => shown(await rowOf(db, id))

const listChart: Handler<typeof api.chart.list> = async ({ db, query }) =>
  pageOf((await db.ChartRow.findAll({ ...withNames, ...byId(query) })).map(shown), query.limit)

const addRow: Handler<typeof api.chart.add> = async ({ db, body, who }) => {
  await db.ChartRow.create({ ...body, byPerson: who.id })
  return shownOf(db, body.id)
}

const tried = ({ temperatureC, seconds, film, formulaId, parts, ei }: Parameters<typeof shown>[0]) => [
  temperatureC,
  seconds,
  film,
  formulaId,
  parts,
  ei,
]

const changeRow: Handler<typeof api.chart.change> = async ({ db, params, body: { version, ...facts }, who }) => {
  const row = await rowOf(db, params.id)
  const before = tried(row)
  row.set({ ...facts, byPerson: who.id })
  // what was tried was tried with the figures as they were
  if (!isDeepStrictEqual(before, tried(row))) row.set({ triedAt: null, triedBy: null })
  await saveSeen(row, version, () => shownOf(db, params.id))
  return { ...shown(row), by: who.name }
}

const markTried: Handler<typeof api.chart.tried> = async ({ db, params, body, who, now }) => {
  const row = asSeen(db.ChartRow, { id: params.id, version: body.version })
  row.set({ triedAt: now, triedBy: who.id, triedNote: body.note })
  await saveSeen(row, body.version, () => shownOf(db, params.id))
  return shownOf(db, params.id)
}

const removeRow: Handler<typeof api.chart.remove> = async ({ db, params, body }) => {
  await destroySeen(await rowOf(db, params.id), body.version, () => shownOf(db, params.id))
  return { done: true as const }
}

export const chartRoutes = [
  answers(api.chart.list, listChart),
  answers(api.chart.add, addRow),
  answers(api.chart.change, changeRow),
  answers(api.chart.tried, markTried),
  answers(api.chart.remove, removeRow),
]
