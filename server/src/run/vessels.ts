import { api, type Vessel } from '@selvrin/core/contract'
import { asSeen, saveSeen } from '../http/changing'
import { pageOf } from '../http/page'
import { notFound } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'
import { vesselRows } from './queries'

type Facts = Pick<Vessel, 'id' | 'name' | 'kind' | 'format' | 'coversMl' | 'carryMl'> & { also?: Vessel['also'] }

async function vesselById(db: Database, id: string): Promise<Vessel> {
  const [vessel] = await vesselRows(db, { ids: [id], after: null, limit: null })
  if (!vessel) throw notFound('tank')
  return vessel
}

export const addVessel = (db: Database, vessel: Facts): Promise<unknown> =>
  db.Vessel.create({ ...vessel, also: vessel.also ?? [], reels: vessel.coversMl.length })

/** Changes a tank or drum as its writer saw it. */
export async function changeVessel(db: Database, { id, version, also, ...facts }: Facts & { version: number }): Promise<void> {
  const row = asSeen(db.Vessel, { id, version }).set({ ...facts, ...(also === undefined ? {} : { also }), reels: facts.coversMl.length })
  await saveSeen(row, version, () => vesselById(db, id))
}

const add: Handler<typeof api.run.addVessel> = async ({ db, body }) => {
  await addVessel(db, body)
  return vesselById(db, body.id)
}
const change: Handler<typeof api.run.changeVessel> = async ({ db, params, body }) => {
  await changeVessel(db, { id: params.id, ...body })
  return vesselById(db, params.id)
}

/** Tanks and drums. */
export const vesselRoutes = [
  answers(api.run.vessels, async ({ db, query }) =>
    pageOf(await vesselRows(db, { ids: null, after: query.after ?? null, limit: query.limit + 1 }), query.limit),
  ),
  answers(api.run.addVessel, add),
  answers(api.run.changeVessel, change),
]
