import { requireReading } from '@selvrin/core'
import type { Pickup, sinkApi } from '@selvrin/core/contract'
import { Op, type WhereOptions } from 'sequelize'
import { standingWhere } from '../drum/rows'
import { oneAtATime } from '../house/queries'
import { notFound, Refusal } from '../house/refusal'
import { pageOf } from '../http/page'
import { saveNext, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { changeAll } from '../table/all'

/** Pick-ups with their drums, the newest first. */
export async function pickupRows(db: Database, where: WhereOptions, limit?: number): Promise<Pickup[]> {
  const rows = await db.Pickup.findAll({ where, order: [['id', 'desc']], ...(limit === undefined ? {} : { limit }) })
  const ids = rows.map((row) => row.id)
  const drums = await standingWhere(db, { pickupId: ids })
  const files = await db.PickupReceipt.findAll({ attributes: ['pickupId', 'name'], where: { pickupId: ids }, raw: true })
  return rows.map(({ id, version, number, contractor, licence, handedBy, at, collectedAt, receipt }) => ({
    ...{ id, version, number, contractor, licence, handedBy, at, collectedAt, receipt },
    file: files.find((one) => one.pickupId === id)?.name ?? null,
    drums: drums.flatMap(({ row, facts, state }) =>
      row.pickupId === id
        ? [
            {
              ...{ id: facts.id, code: facts.code, family: facts.family, ml: state.ml, kg: state.kg, silverG: state.silverG },
              collectedKg: row.collectedKg,
            },
          ]
        : [],
    ),
  }))
}

export async function pickupRow(db: Database, id: string): Promise<Pickup> {
  const [row] = await pickupRows(db, { id })
  if (!row) throw notFound('collection')
  return row
}

export const list: Handler<typeof sinkApi.pickups> = async ({ db, query: { after, limit } }) =>
  pageOf(await pickupRows(db, after === undefined ? {} : { id: { [Op.lt]: after } }, limit + 1), limit)

/** Sealed drums, and those in quarantine, are what a contractor comes for. */
export const arrange: Handler<typeof sinkApi.arrange> = async ({ db, body: { id, drumIds, contractor, licence, handedBy }, who, now }) => {
  const drums = await db.Drum.findAll({ where: { id: drumIds }, order: ['id'], lock: true })
  if (drums.length < new Set(drumIds).size) throw notFound('drum')
  for (const { code, sealedAt, quarantinedAt, collectedAt, pickupId } of drums) {
    if (collectedAt !== null) throw new Refusal(409, 'drum-collected', `Drum ${code} was collected already.`)
    if (pickupId !== null) throw new Refusal(409, 'drum-awaited', `Drum ${code} waits for a contractor already.`)
    if (sealedAt === null && quarantinedAt === null) throw new Refusal(409, 'drum-open', `Drum ${code} is not sealed yet.`)
  }
  await oneAtATime(db, 'pickup number')
  const number = (((await db.Pickup.max('number')) as number | null) ?? 0) + 1
  await db.Pickup.create({ id, number, contractor, licence, handedBy, byPerson: who.id, at: now })
  await changeAll(db.Drum, { pickupId: id }, { id: drumIds })
  return pickupRow(db, id)
}

export const collected: Handler<typeof sinkApi.collected> = async ({ db, params: { id }, body: { version, receipt, weights }, now }) => {
  const row = await db.Pickup.findByPk(id, { lock: true })
  if (!row) throw notFound('collection')
  if (row.collectedAt !== null)
    throw new Refusal(409, 'collected', 'These drums were collected already.', { current: await pickupRow(db, id) })
  const drums = await db.Drum.findAll({ where: { pickupId: id }, order: ['id'], lock: true })
  const missing = drums.find((drum) => !weights.some((one) => one.drumId === drum.id))
  if (missing) throw new Refusal(422, 'weight', `Say what drum ${missing.code} weighed.`, { field: 'weights' })
  await saveSeen(row.set({ collectedAt: now, receipt }), version, () => pickupRow(db, id))
  for (const drum of drums) {
    const kg = weights.find((one) => one.drumId === drum.id)?.kg ?? 0
    requireReading(drum, kg)
    await saveNext(drum.set({ collectedAt: now, collectedKg: kg }))
  }
  return pickupRow(db, id)
}
