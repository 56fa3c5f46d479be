import { dayOf, dischargeOf } from '@selvrin/core'
import type { DischargeRow, sinkApi } from '@selvrin/core/contract'
import { zoneOf } from '../darkroom/zone'
import { drainedToday } from '../drum/draining'
import { notFound, stale } from '../house/refusal'
import { destroySeen, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'

/** What papers allow, and which of them have ended. */
export async function ruleRows(db: Database, now: number): Promise<DischargeRow[]> {
  const [today, went] = [dayOf(now, await zoneOf(db)), await drainedToday(db, now)]
  return (await db.Discharge.findAll({ order: ['family'], raw: true })).map(({ version, body }) => ({
    ...body,
    version,
    todayMl: went.get(body.family) ?? 0,
    ended: dischargeOf(body.family, [body], { day: today, septic: false }) === null,
  }))
}

const ruleOf = async (db: Database, family: string, now: number): Promise<DischargeRow | null> =>
  (await ruleRows(db, now)).find((one) => one.family === family) ?? null

export const allow: Handler<typeof sinkApi.allow> = async ({ db, body: { version, ...body }, now }) => {
  const { family } = body
  const row = await db.Discharge.findByPk(family)
  if ((row === null) !== (version === null)) throw stale(await ruleOf(db, family, now))
  if (row && version !== null) await saveSeen(row.set({ body }), version, () => ruleOf(db, family, now))
  else await db.Discharge.create({ family, body })
  return (await ruleOf(db, family, now)) as DischargeRow
}

export const forbid: Handler<typeof sinkApi.forbid> = async ({ db, params: { family }, body: { version }, now }) => {
  const row = await db.Discharge.findByPk(family)
  if (!row) throw notFound('rule')
  await destroySeen(row, version, () => ruleOf(db, family, now))
  return { done: true as const }
}
