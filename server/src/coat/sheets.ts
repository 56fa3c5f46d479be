import { coatMix, coatStanding, requireCoated, type CoatedBody } from '@selvrin/core'
import type { coatApi, CoatPage } from '@selvrin/core/contract'
import { col, fn, Op, where as whereIs } from 'sequelize'
import { oneAtATime } from '../house/queries'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { pageOf, wordsOf } from '../http/page'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { benchRows } from './bench'
import { coatedRows, lampRows, ownCoated, ownOf } from './rows'

/** prints in the making that are told at once, and exposures that are looked back at for a time */
const [mostOpen, mostLast] = [60, 200]

/** The last exposure of each process on each paper, of whomever: a time to begin with. */
async function lastExposures(db: Database): Promise<CoatPage['last']> {
  const acts = await db.CoatedAct.findAll({
    where: { act: { kind: 'expose' }, light: { [Op.ne]: null } as never },
    order: [['seq', 'desc']],
    limit: mostLast,
  })
  const sheets = await db.Coated.findAll({ where: { id: [...new Set(acts.map((one) => one.coatedId))] } })
  const last = new Map<string, CoatPage['last'][number]>()
  for (const { coatedId, act, light, at } of acts) {
    const sheet = sheets.find((one) => one.id === coatedId)
    if (act.kind !== 'expose' || !light || !sheet) continue
    const { process, paper } = sheet.body
    const key = `${process} ${paper}`
    if (!last.has(key)) last.set(key, { process, paper, seconds: act.seconds, light, at, number: sheet.number })
  }
  return [...last.values()]
}

export const page: Handler<typeof coatApi.get> = async ({ db, who, now }) => ({
  lamps: await lampRows(db),
  bench: await benchRows(db, now),
  sheets: await coatedRows(db, { endedAt: null, ...ownOf(who) }, { order: [['id', 'desc']], limit: mostOpen }),
  last: await lastExposures(db),
})

/** Prints whose names have all the words. */
const named = (find: string) =>
  wordsOf(find).map((word) => whereIs(fn('plain', fn('jsonb_extract_path_text', col('Coated.body'), 'title')), { [Op.like]: word }))

export const list: Handler<typeof coatApi.list> = async ({ db, query: { limit, after, find }, who }) =>
  pageOf(
    await coatedRows(
      db,
      { ...ownOf(who), ...(after === undefined ? {} : { id: { [Op.lt]: after } }), [Op.and]: named(find) },
      { order: [['id', 'desc']], limit: limit + 1 },
    ),
    limit,
  )

export const get: Handler<typeof coatApi.sheet> = ({ db, params: { id }, who }) => ownCoated(db, id, who)

export const begin: Handler<typeof coatApi.begin> = async ({ db, body: { id, memberId, body }, who, now }) => {
  if (who.role !== 'technician' && memberId !== who.id)
    throw new Refusal(403, 'not-yours', 'You begin prints of your own. For someone else’s ask a technician.')
  const owner = await db.Person.findOne({ attributes: ['active'], where: { id: memberId }, raw: true })
  if (!owner?.active) throw new Refusal(422, 'no-person', 'Whose print is it? That person is not there any more.', { field: 'memberId' })
  requireCoated(body)
  await oneAtATime(db, 'coated number')
  const last = (await db.Coated.max('number')) as number | null
  await db.Coated.create({ id, number: (last ?? 0) + 1, memberId, body, byPerson: who.id, at: now })
  return ownCoated(db, id, who)
}

/** What was poured is poured: its process and its amounts stand from then on. */
const poured = (body: CoatedBody): string => JSON.stringify([body.process, coatMix(body)])

export const change: Handler<typeof coatApi.change> = async ({ db, params: { id }, body: { version, body }, who }) => {
  const before = await ownCoated(db, id, who)
  requireCoated(body)
  if (coatStanding(before.body.process, before.acts).stage !== 'coat' && poured(before.body) !== poured(body))
    throw new Refusal(409, 'coated', 'It is coated: its process and its size stand. Begin another print.', { field: 'process' })
  const row = await db.Coated.findByPk(id)
  if (!row) throw notFound('print')
  await saveSeen(row.set({ body }), version, () => ownCoated(db, id, who))
  return ownCoated(db, id, who)
}
