import { requireCheck, safetyBlocks } from '@selvrin/core'
import { checkApi, type Fixture } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { answers, type Handler } from '../http/route'
import type { Database, Row } from '../table/database'
import { fixtureRows } from './blocks'

async function fixtureRow(db: Database, id: string, now: number): Promise<Fixture> {
  const [row] = await fixtureRows(db, now, { id })
  if (!row) throw notFound('thing')
  return row
}
async function there(db: Database, id: string): Promise<Row<'Fixture'>> {
  const row = await db.Fixture.findOne({ where: { id, goneAt: null } })
  if (!row) throw notFound('thing')
  return row
}

const list: Handler<typeof checkApi.list> = async ({ db, now }) => {
  const fixtures = await fixtureRows(db, now)
  return { fixtures, blocks: safetyBlocks(fixtures.map(({ body, standing }) => ({ body, is: standing }))) }
}

const add: Handler<typeof checkApi.add> = async ({ db, body: { id, body }, now }) => {
  await db.Fixture.create({ id, body })
  return fixtureRow(db, id, now)
}

/** What kind of thing it is stays: its checks were made of that. */
const change: Handler<typeof checkApi.change> = async ({ db, params: { id }, body: { version, body }, now }) => {
  const row = await there(db, id)
  const same = row.body.kind === body.kind && (row.body.kind !== 'eyewash' || row.body.plumbed === (body as typeof row.body).plumbed)
  if (!same) throw new Refusal(422, 'other-kind', 'That is another kind of thing: write it down as a new one.', { field: 'body' })
  await saveSeen(row.set({ body }), version, () => fixtureRow(db, id, now))
  return fixtureRow(db, id, now)
}

const remove: Handler<typeof checkApi.remove> = async ({ db, params: { id }, body: { version }, now }) => {
  const row = await there(db, id)
  await saveSeen(row.set({ goneAt: now }), version, () => fixtureRow(db, id, now))
  return { done: true as const }
}

const check: Handler<typeof checkApi.check> = async ({ db, params, body: { id, result }, who, now }) => {
  const row = await there(db, params.id)
  requireCheck(row.body, result)
  await db.FixtureCheck.create({ id, fixtureId: row.id, at: now, byPerson: who.id, result })
  return fixtureRow(db, row.id, now)
}

/** What the darkroom has for its safety, and each time it was looked at. */
export const checkRoutes = [
  answers(checkApi.list, list),
  answers(checkApi.add, add),
  answers(checkApi.change, change),
  answers(checkApi.remove, remove),
  answers(checkApi.check, check),
]
