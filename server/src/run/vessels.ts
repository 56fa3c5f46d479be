import { api, type Vessel } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { pageOf } from '../http/page'
import { notFound, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { vesselRows } from './rows'

/** Tanks and drums. */
export function vesselRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.run.vessels, async ({ query }) =>
    pageOf(
      await db.rows<Vessel>(`${vesselRows} where ($2::uuid is null or id > $2) order by id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.run.addVessel, async ({ body, tx }) => {
    await addVessel(db, body, tx)
    return (await vesselById(db, body.id, tx)) as Vessel
  })

  route(router, house, api.run.changeVessel, async ({ params, body, tx }) => {
    const changed = await changeVessel(db, { id: params.id, ...body }, tx)
    const vessel = await vesselById(db, params.id, tx)
    if (!vessel) throw notFound('tank')
    if (!changed) throw stale(vessel)
    return vessel
  })
}

type Facts = Pick<Vessel, 'id' | 'name' | 'kind' | 'format' | 'coversMl' | 'carryMl'>
const vesselById = (db: Database, id: string, tx: Transaction | undefined): Promise<Vessel | undefined> =>
  db.one<Vessel>(`${vesselRows} where id = $1`, [id], tx)

export const addVessel = (db: Database, vessel: Facts, tx: Transaction | undefined): Promise<unknown> =>
  db.run(
    'insert into vessel (id, name, kind, format, reels, covers_ml, carry_ml) values ($1, $2, $3, $4, $5, $6, $7)',
    [vessel.id, vessel.name, vessel.kind, vessel.format, vessel.coversMl.length, vessel.coversMl, vessel.carryMl],
    tx,
  )

/** Whether it was of that version still, and is changed now. */
export async function changeVessel(db: Database, vessel: Facts & { version: number }, tx: Transaction | undefined): Promise<boolean> {
  const changed = await db.rows(
    `update vessel set name = $3, kind = $4, format = $5, reels = $6, covers_ml = $7, carry_ml = $8, version = version + 1
     where id = $1 and version = $2 returning id`,
    [vessel.id, vessel.version, vessel.name, vessel.kind, vessel.format, vessel.coversMl.length, vessel.coversMl, vessel.carryMl],
    tx,
  )
  return changed.length > 0
}
