import {
  inEvening,
  isMovable,
  openOn,
  requireEvening,
  requirePrinting,
  runOf,
  stillStanding,
  type EveningBody,
  type EveningHouse,
} from '@selvrin/core'
import type { EveningAct, EveningPage, eveningApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { zoneOf } from '../darkroom/zone'
import { sinkOf } from '../drum/facts'
import { saveSeen } from '../http/changing'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { givingOut, placesWhere } from '../printing/places'
import { follow } from './following'
import { roomOf } from './roomFacts'
import { eveningPage, eveningRow } from './rows'

/** All of an evening with its row locked: nobody else changes it until the end of the transaction. `loads`: those that come into it. */
export async function openEvening(
  db: Database,
  id: string,
  now: number,
  loads: EveningBody['loads'] = [],
): Promise<EveningPage & { house: EveningHouse }> {
  const locked = await db.Evening.findByPk(id, { attributes: ['id'], lock: true })
  if (!locked) throw notFound('evening')
  const page = await eveningPage(
    db,
    id,
    now,
    loads.flatMap((load) => load.orders),
  )
  return { ...page, house: { ...page.house, catalogue: await catalogueOf(db) } }
}

async function write(
  db: Database,
  page: EveningPage & { house: EveningHouse },
  { version, body }: { version: number; body: EveningBody },
  now: number,
): Promise<void> {
  const { evening } = page
  const row = await db.Evening.findByPk(evening.id, { rejectOnEmpty: true })
  await saveSeen(row.set({ body, opensAt: body.opensAt, closesAt: body.closesAt }), version, () => eveningRow(db, evening.id))
  await follow(db, { id: evening.id, before: evening.body, after: body }, page, { now })
}

/** Whoever has booked a place that day has it within other hours than the usual ones, too. */
async function requireBooked(db: Database, { day, ...hours }: { day: string; opensAt: number; closesAt: number }): Promise<void> {
  await givingOut(db)
  const [zone, places] = [await zoneOf(db), await placesWhere(db, { day })]
  const usual = openOn(await roomOf(db), day, zone)
  const people = Object.fromEntries(places.map((one) => [one.memberId, one.member]))
  requirePrinting('opensAt' in usual ? usual : hours, hours, { prints: places, people, zone })
}

/** Before the first opening it is known whom to call. */
async function requireNumbers(db: Database): Promise<void> {
  const { emergency, poison } = await sinkOf(db)
  if (emergency !== '' && poison !== '') return
  const missing = [...(emergency === '' ? ['the emergency service'] : []), ...(poison === '' ? ['the poison centre'] : [])].join(' and ')
  throw new Refusal(409, 'no-numbers', `Before the doors open: write down the number of ${missing}, at the Sink under “What it stands on”.`)
}

/** The evening of a day that has none yet. */
export const planEvening: Handler<typeof eveningApi.plan> = async ({ db, body: { id, day, opensAt, closesAt, people }, who, now }) => {
  if (closesAt <= opensAt) throw new Refusal(422, 'closes', 'It closes before it opens.', { field: 'closesAt' })
  await requireNumbers(db)
  const there = await db.Evening.findOne({ attributes: ['id'], where: { day }, raw: true })
  if (there) throw new Refusal(409, 'exists', 'That day has an evening already.', { current: await eveningRow(db, there.id) })
  const body: EveningBody = { opensAt, closesAt, people, loads: [] }
  await requireBooked(db, { day, opensAt, closesAt })
  await db.Evening.create({ id, day, body, opensAt, closesAt })
  await db.EveningChange.create({ id: uuid(), eveningId: id, at: now, byPerson: who.id, what: 'planned', before: body, undone: true })
  return eveningRow(db, id)
}

interface Change {
  version: number
  what: EveningAct
  body: EveningBody
}

/** One change, looked at with the shelf as it is now, with what was before it beside it. */
async function change(
  db: Database,
  page: EveningPage & { house: EveningHouse },
  { version, what, body }: Change,
  { by, now }: { by: string; now: number },
): Promise<void> {
  const { evening, house, runs, orders, people } = page
  requireEvening(evening.body, body, { house, runs, orders, people, now })
  await db.EveningChange.create({ id: uuid(), eveningId: evening.id, at: now, byPerson: by, what, before: evening.body })
  await write(db, page, { version, body }, now)
}

/** Another plan: what stands in its way is looked at again with the shelf as it is now. */
export const changeEvening: Handler<typeof eveningApi.change> = async ({ db, params, body, who, now }) => {
  const page = await openEvening(db, params.id, now, body.body.loads)
  const { evening } = page
  if (evening.version !== body.version)
    throw new Refusal(409, 'stale', 'Someone changed this evening meanwhile. The board shows how it is now; do yours again.', {
      current: evening,
    })
  await change(db, page, body, { by: who.id, now })
  return eveningRow(db, evening.id)
}

/** A load leaves this evening and comes into another one, both or neither. */
export const sendLoad: Handler<typeof eveningApi.send> = async ({ db, params, body: { version, to }, who, now }) => {
  const page = await openEvening(db, params.id, now)
  const { evening } = page
  const load = evening.body.loads.find((one) => one.id === params.loadId)
  if (!load || evening.version !== version)
    throw new Refusal(409, 'stale', 'Someone changed this evening meanwhile. The board shows how it is now.', { current: evening })
  const rest: EveningBody = { ...evening.body, loads: evening.body.loads.filter((one) => one !== load) }
  await change(db, page, { version, what: 'sent', body: rest }, { by: who.id, now })
  const other = await openEvening(db, to, now, [load])
  const more: EveningBody = { ...other.evening.body, loads: [...other.evening.body.loads, inEvening(load, other.evening.body)] }
  await change(db, other, { version: other.evening.version, what: 'put-in', body: more }, { by: who.id, now })
  return eveningRow(db, evening.id)
}

/** What was before the last change; what has begun since stays as it is. */
export const undoEvening: Handler<typeof eveningApi.undo> = async ({ db, params, body: { version }, now }) => {
  const last = await db.EveningChange.findOne({ where: { eveningId: params.id, undone: false }, order: [['id', 'desc']] })
  const page = await openEvening(db, params.id, now, last?.before.loads)
  const { evening, house, runs, orders, people } = page
  if (evening.version !== version)
    throw new Refusal(409, 'stale', 'Someone changed this evening meanwhile. The board shows how it is now.', { current: evening })
  if (!last) throw new Refusal(409, 'nothing', 'There is no change of this evening to take back.')
  const begun = evening.body.loads.filter((load) => !isMovable(load, runs))
  const was: EveningBody = { ...last.before, loads: [...last.before.loads.filter((load) => !runOf(load, runs)), ...begun] }
  // what cannot be where it was any more is there without a place
  const stays = stillStanding(was, house, runs, now)
  const body: EveningBody = {
    ...was,
    loads: was.loads.map((load) => (isMovable(load, runs) && load.place && !stays.has(load.id) ? { ...load, place: null } : load)),
  }
  requireEvening(evening.body, body, { house, runs, orders, people, now })
  await last.update({ undone: true })
  await write(db, page, { version, body }, now)
  return eveningRow(db, evening.id)
}
