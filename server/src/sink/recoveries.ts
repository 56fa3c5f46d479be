import { recoveryAdvice, recoveryBalance, type RecoveryBody } from '@selvrin/core'
import type { Recovery, sinkApi } from '@selvrin/core/contract'
import { Op, type WhereOptions } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import { pageOf } from '../http/page'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'

function withAdvice(body: RecoveryBody): ReturnType<typeof recoveryBalance> {
  const balance = recoveryBalance(body)
  return { ...balance, findings: [...balance.findings, ...recoveryAdvice(body)] }
}

/** Recoveries that were not taken back, the newest first. */
export async function recoveryRows(db: Database, where: WhereOptions, limit?: number): Promise<Recovery[]> {
  const back = await db.Recovery.findAll({ attributes: ['reverses'], where: { reverses: { [Op.ne]: null } }, raw: true })
  const rows = await db.Recovery.findAll({
    include: [withName(), { association: 'drum', attributes: ['code'] }],
    where: { [Op.and]: [where, { reverses: null, id: { [Op.notIn]: back.flatMap((one) => one.reverses ?? []) } }] },
    order: [['id', 'desc']],
    ...(limit === undefined ? {} : { limit }),
  })
  return rows.map(({ id, at, by, drumId, drum, body }) => ({
    ...{ id, at, by: nameOf(by), drumId, drum: drum?.code ?? null, body },
    ...withAdvice(body),
  }))
}

export const list: Handler<typeof sinkApi.recoveries> = async ({ db, query: { after, limit } }) =>
  pageOf(await recoveryRows(db, after === undefined ? {} : { id: { [Op.lt]: after } }, limit + 1), limit)

export const recover: Handler<typeof sinkApi.recover> = async ({ db, body: { id, drumId, body }, who, now }) => {
  if (drumId !== null) {
    const drum = await db.Drum.findByPk(drumId, { attributes: ['family', 'code'], raw: true })
    if (!drum) throw notFound('drum')
    if (drum.family !== 'sil')
      throw new Refusal(422, 'recovery-drum', `Silver is recovered from fixers and bleach-fixes; drum ${drum.code} is for something else.`)
  }
  await db.Recovery.create({ id, at: now, byPerson: who.id, drumId, body })
  const [row] = await recoveryRows(db, { id })
  return row as Recovery
}

export const recoverBack: Handler<typeof sinkApi.recoverBack> = async ({ db, params: { id }, body: { entryId }, who, now }) => {
  const row = await db.Recovery.findOne({ where: { id, reverses: null }, raw: true })
  if (!row) throw notFound('recovery')
  if (await db.Recovery.findOne({ attributes: ['id'], where: { reverses: id }, raw: true }))
    throw new Refusal(409, 'reversed', 'That recovery was taken back already.')
  await db.Recovery.create({ id: entryId, at: now, byPerson: who.id, drumId: row.drumId, body: row.body, reverses: id })
  return { done: true as const }
}
