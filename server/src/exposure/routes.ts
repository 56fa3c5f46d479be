import { maySeeNotes, requireExposure } from '@selvrin/core'
import { exposureApi, type ExposureNote } from '@selvrin/core/contract'
import { oneAtATime } from '../house/queries'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { answers, type Handler } from '../http/route'
import type { Who } from '../http/who'
import type { Database, Row } from '../table/database'

/** Named, and still a technician who may sign in. */
async function readersOf(db: Database): Promise<Row<'ExposureReader'>[]> {
  const rows = await db.ExposureReader.findAll({ include: [{ association: 'person' }, withName('namer')], order: ['at'] })
  return rows.filter((one) => one.person?.role === 'technician' && one.person.active)
}
const readsOf = async (db: Database, { id, role }: Who): Promise<{ id: string; role: Who['role']; reads: boolean }> => ({
  ...{ id, role },
  reads: (await readersOf(db)).some((one) => one.personId === id),
})

/** As many as anybody reads at once, the newest. */
const most = 200

const page: Handler<typeof exposureApi.page> = async ({ db, who }) => {
  const reader = await readsOf(db, who)
  const all = reader.role === 'technician' && reader.reads
  const rows = await db.ExposureNote.findAll({
    where: all ? {} : { personId: who.id },
    include: [withName('person'), withName()],
    order: [['id', 'desc']],
    limit: most,
  })
  const notes = rows.map((row): ExposureNote => ({
    ...{ id: row.id, version: row.version, person: nameOf(row.person), mine: row.personId === who.id },
    ...{ writtenAt: row.writtenAt, by: nameOf(row.by), body: row.body },
  }))
  const readers = (await readersOf(db)).map((one) => ({
    id: one.personId,
    name: nameOf(one.person),
    namedBy: nameOf(one.namer),
    at: one.at,
  }))
  return { notes, readers, reads: all }
}

/** A note its owner, or a named technician, may open; for everybody else there is none. */
async function seen(db: Database, id: string, who: Who): Promise<Row<'ExposureNote'>> {
  const row = await db.ExposureNote.findByPk(id)
  if (!row || !maySeeNotes(await readsOf(db, who), row.personId)) throw notFound('note')
  return row
}
/** How a note stands, for whoever wrote over an older one; nothing of it is kept. */
const asItIs = (row: Row<'ExposureNote'>) => ({ version: row.version })

const write: Handler<typeof exposureApi.write> = async ({ db, body: { id, personId, body }, who, now }) => {
  requireExposure(body, now)
  if (!maySeeNotes(await readsOf(db, who), personId))
    throw new Refusal(403, 'not-yours', 'You write notes of your own only.', { field: 'personId' })
  if (!(await db.Person.findOne({ attributes: ['id'], where: { id: personId }, raw: true }))) throw notFound('person')
  await db.ExposureNote.create({ id, personId, writtenAt: now, byPerson: who.id, body })
  return { done: true as const }
}

const change: Handler<typeof exposureApi.change> = async ({ db, params: { id }, body: { version, body }, who, now }) => {
  requireExposure(body, now)
  const row = await seen(db, id, who)
  await saveSeen(row.set({ body }), version, async () => asItIs(await seen(db, id, who)))
  return { done: true as const }
}

const erase: Handler<typeof exposureApi.erase> = async ({ db, params: { id }, body: { version }, who }) => {
  const row = await seen(db, id, who)
  if (row.personId !== who.id) throw new Refusal(403, 'not-yours', 'A note is erased by whom it is about.')
  if (row.version !== version) throw new Refusal(409, 'stale', 'It was changed meanwhile. Load the page again.', { current: asItIs(row) })
  await row.destroy()
  return { done: true as const }
}

/** Nobody names themselves, but for the first: there is nobody else to do it. */
const reader: Handler<typeof exposureApi.reader> = async ({ db, body: { personId, reads }, who, now }) => {
  await oneAtATime(db, 'exposure readers')
  const readers = await readersOf(db)
  if (reads && personId === who.id && readers.length > 0)
    throw new Refusal(403, 'yourself', 'Nobody names themselves to read these. Ask one who is named.')
  if (reads && readers.length > 0 && !readers.some((one) => one.personId === who.id))
    throw new Refusal(403, 'not-named', 'Who reads these is named by one who does.')
  const person = await db.Person.findOne({ where: { id: personId, role: 'technician', active: true } })
  if (reads && !person) throw new Refusal(422, 'no-technician', 'Only a technician can be named.', { field: 'personId' })
  if (reads) await db.ExposureReader.upsert({ personId, namedBy: who.id, at: now })
  else await db.ExposureReader.destroy({ where: { personId } })
  return { done: true as const }
}

/** Notes of exposure: own table, own permission, told to nobody, in no export. */
export const exposureRoutes = [
  answers(exposureApi.page, page),
  answers(exposureApi.write, write),
  answers(exposureApi.reader, reader),
  answers(exposureApi.change, change),
  answers(exposureApi.erase, erase),
]
