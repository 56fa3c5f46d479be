import { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { asSeen, saveSeen } from '../http/changing'
import { pageOf } from '../http/page'
import { notFound, Refusal } from '../house/refusal'
import { oneAtATime } from '../house/queries'
import { answers, type Handler } from '../http/route'
import { changeAll } from '../table/all'
import { requireBathOf } from './baths'
import { kitRow, kitRows } from './rows'

const list: Handler<typeof api.kit.list> = async ({ db, query: { after, limit } }) =>
  pageOf(await kitRows(db, after === undefined ? {} : { id: { [Op.gt]: after } }, limit + 1), limit)

const add: Handler<typeof api.kit.add> = async ({ db, body }) => {
  await db.Kit.create(body)
  return kitRow(db, body.id)
}

const change: Handler<typeof api.kit.change> = async ({ db, params, body: { version, body } }) => {
  await saveSeen(asSeen(db.Kit, { id: params.id, version }).set({ body }), version, () => kitRow(db, params.id))
  return kitRow(db, params.id)
}

/** Begins a kit: from now on its baths are mixed one after the other, and their bottles belong together. */
const begin: Handler<typeof api.kit.begin> = async ({ db, params, body, who, now }) => {
  const kit = await kitRow(db, params.id)
  await oneAtATime(db, 'kit number')
  const last = (await db.KitSet.max('number')) as number | null
  await db.KitSet.create({ id: body.id, kitId: kit.id, number: (last ?? 0) + 1, body: kit.body, begunAt: now, begunBy: who.id })
  return kitRow(db, kit.id)
}

/** A bottle that was poured together or brought ready made is a bath of a kit. */
const putIn: Handler<typeof api.kit.putIn> = async ({ db, params, body: { bottleId } }) => {
  const bottle = await db.Bottle.findByPk(bottleId, { include: [{ association: 'madeOf' }] })
  if (!bottle?.madeOf) throw notFound('bottle')
  await requireBathOf(db, params.id, bottle.madeOf.formulaId)
  if (bottle.kitSetId !== null && bottle.kitSetId !== params.id)
    throw new Refusal(409, 'other-kit', `${bottle.letter}${bottle.number} is a bath of another kit already.`)
  await changeAll(db.Bottle, { kitSetId: params.id }, { id: bottleId })
  return { done: true as const }
}

export const kitRoutes = [
  answers(api.kit.list, list),
  answers(api.kit.add, add),
  answers(api.kit.change, change),
  answers(api.kit.begin, begin),
  answers(api.kit.putIn, putIn),
]
