import type { DrainLine, sinkApi } from '@selvrin/core/contract'
import { drainAway, reverseDrain } from '../drum/draining'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { waitingPortions } from './waiting'

export const drain: Handler<typeof sinkApi.drain> = async ({ db, body: { wasteId, entryId, family }, who, now }) => {
  const [portion] = await waitingPortions(db, [{ wasteId, entryId }], family)
  if (!portion) throw notFound('line')
  if (portion.family !== family)
    throw new Refusal(409, 'drain-family', 'It is of another family than the paper that was shown. Nothing was poured.')
  const { ml, silverG, contents } = portion
  await drainAway(db, { entryId, wasteId, drained: { family, ml, silverG, contents } }, { by: who.id, now })
  return { done: true as const }
}

export const drained: Handler<typeof sinkApi.drained> = async ({ db, query: { limit } }) => {
  const rows = await db.DrainEntry.findAll({ include: [withName()], where: { reverses: null }, order: [['seq', 'desc']], limit: limit + 1 })
  const back = await db.DrainEntry.findAll({ attributes: ['reverses'], where: { reverses: rows.map((row) => row.id) }, raw: true })
  const over = new Set(back.map((row) => row.reverses))
  const words = (row: (typeof rows)[number]): DrainLine => ({
    ...{ id: row.id, at: row.at, by: nameOf(row.by), family: row.family, ml: row.ml, paper: row.rule.paper, over: over.has(row.id) },
  })
  return { lines: rows.slice(0, limit).map(words), more: rows.length > limit }
}

export const drainBack: Handler<typeof sinkApi.drainBack> = async ({ db, params: { id }, body: { entryId, why }, who, now }) => {
  const entry = await db.DrainEntry.findOne({ where: { id, reverses: null }, lock: true })
  if (!entry) throw notFound('line')
  if (await db.DrainEntry.findOne({ attributes: ['id'], where: { reverses: id }, raw: true }))
    throw new Refusal(409, 'reversed', 'That line was taken back already.')
  await reverseDrain(db, entry, { id: entryId, why, by: who.id, now })
  return { done: true as const }
}
