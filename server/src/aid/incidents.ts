import { requireIncident } from '@selvrin/core'
import type { aidApi, Incident } from '@selvrin/core/contract'
import { Op, type WhereOptions } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { pageOf } from '../http/page'
import { pictureNamed, sentPicture, type KeptPicture } from '../http/picture'
import type { Call, Handler } from '../http/route'
import type { Who } from '../http/who'
import type { Database, Row } from '../table/database'

async function incidentRows(db: Database, where: WhereOptions, who: Who, limit?: number): Promise<Incident[]> {
  const rows = await db.Incident.findAll({
    where,
    include: [withName(), { association: 'photo', attributes: ['at'] }],
    order: [['id', 'desc']],
    ...(limit === undefined ? {} : { limit }),
  })
  const ids = [...new Set(rows.flatMap((row) => row.body.present))]
  const people = await db.Person.findAll({ attributes: ['id', 'name'], where: { id: ids }, raw: true })
  const names = new Map(people.map((one) => [one.id, one]))
  return rows.map((row) => ({
    ...{ id: row.id, version: row.version, writtenAt: row.writtenAt, by: nameOf(row.by), mine: row.byPerson === who.id, body: row.body },
    present: row.body.present.map((id) => nameOf(names.get(id))),
    photo: row.photo != null,
    ...{ refilledAt: row.refilledAt, struckAt: row.struckAt, struckWhy: row.struckWhy },
  }))
}
async function incidentRow(db: Database, id: string, who: Who): Promise<Incident> {
  const [row] = await incidentRows(db, { id }, who)
  if (!row) throw notFound('spill')
  return row
}
async function standing(db: Database, id: string): Promise<Row<'Incident'>> {
  const row = await db.Incident.findByPk(id)
  if (!row) throw notFound('spill')
  if (row.struckAt !== null) throw new Refusal(409, 'struck', 'It was struck out: it was written down wrongly.')
  return row
}

export const incidents: Handler<typeof aidApi.incidents> = async ({ db, query: { limit, after }, who }) =>
  pageOf(await incidentRows(db, after === undefined ? {} : { id: { [Op.lt]: after } }, who, limit + 1), limit)

/** Members write down what they saw; whom else they name is a technician's to say. */
export const write: Handler<typeof aidApi.write> = async ({ db, body: { id, body }, who, now }) => {
  requireIncident(body, now)
  if (who.role !== 'technician' && body.present.some((one) => one !== who.id))
    throw new Refusal(403, 'not-yours', 'Who else was there is for a technician to write down.', { field: 'present' })
  if ((await db.Person.count({ where: { id: body.present } })) !== new Set(body.present).size)
    throw new Refusal(422, 'no-person', 'One of those who were there is not a person of this darkroom (any more).', { field: 'present' })
  await db.Incident.create({
    id,
    writtenAt: now,
    byPerson: who.id,
    body,
    refilledAt: body.kitFull ? now : null,
    refilledBy: body.kitFull ? who.id : null,
  })
  return incidentRow(db, id, who)
}

export const refilled: Handler<typeof aidApi.refilled> = async ({ db, params: { id }, body: { version }, who, now }) => {
  const row = await standing(db, id)
  if (row.refilledAt !== null) throw new Refusal(409, 'full', 'The kit is full again already.')
  await saveSeen(row.set({ refilledAt: now, refilledBy: who.id }), version, () => incidentRow(db, id, who))
  return incidentRow(db, id, who)
}

export const strike: Handler<typeof aidApi.strike> = async ({ db, params: { id }, body: { version, why }, who, now }) => {
  const row = await standing(db, id)
  await saveSeen(row.set({ struckAt: now, struckWhy: why, struckBy: who.id }), version, () => incidentRow(db, id, who))
  return incidentRow(db, id, who)
}

/** One's own, or a technician's. */
async function mayPicture(db: Database, id: string, who: Who): Promise<void> {
  const row = await standing(db, id)
  if (who.role !== 'technician' && row.byPerson !== who.id) throw notFound('spill')
}
export async function photoOf({ db, params, upload, who }: Call<typeof aidApi.putPhoto>): Promise<KeptPicture> {
  await mayPicture(db, params.id, who)
  return sentPicture(upload)
}
export const putPhoto: Handler<typeof aidApi.putPhoto> = async ({ db, params: { id }, who, now, before }) => {
  await mayPicture(db, id, who)
  await db.IncidentPhoto.upsert({ incidentId: id, ...(before as KeptPicture), at: now })
  return { done: true as const }
}
export const getPhoto: Handler<typeof aidApi.getPhoto> = async ({ db, params: { id } }) =>
  pictureNamed('spill', await db.IncidentPhoto.findByPk(id))
