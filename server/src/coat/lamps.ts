import { lightOf, type UvLight } from '@selvrin/core'
import type { coatApi } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database, Row } from '../table/database'
import { lampRow } from './rows'

async function standing(db: Database, id: string): Promise<Row<'UvLamp'>> {
  const row = await db.UvLamp.findOne({ where: { id, goneAt: null }, lock: true })
  if (!row) throw notFound('lamp')
  return row
}
const current = (db: Database, id: string) => async () => lampRow(await standing(db, id))

export const addLamp: Handler<typeof coatApi.addLamp> = async ({ db, body: { id, body } }) => lampRow(await db.UvLamp.create({ id, body }))

export const changeLamp: Handler<typeof coatApi.changeLamp> = async ({ db, params: { id }, body: { version, body } }) => {
  const row = await standing(db, id)
  await saveSeen(row.set({ body, runS: 0 }), version, current(db, id))
  return lampRow(row)
}

export const removeLamp: Handler<typeof coatApi.removeLamp> = async ({ db, params: { id }, body: { version }, now }) => {
  await saveSeen((await standing(db, id)).set({ goneAt: now }), version, current(db, id))
  return { done: true as const }
}

/** Lamps that shine together for so many s: the light they give now; they are as much older afterwards. */
export async function shine(
  db: Database,
  { lamps, distanceCm, seconds }: { lamps: string[]; distanceCm: number; seconds: number },
): Promise<UvLight> {
  const rows = []
  for (const id of [...new Set(lamps)].sort()) rows.push(await standing(db, id))
  const light = lightOf(
    rows.map((row) => lampRow(row).body),
    distanceCm,
  )
  for (const row of rows) await row.increment({ runS: seconds })
  return light
}
