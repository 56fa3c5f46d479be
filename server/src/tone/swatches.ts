import { requireSwatch } from '@selvrin/core'
import type { Swatch, toneApi } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { pageOf } from '../http/page'
import { pictureNamed, sentPicture, type KeptPicture } from '../http/picture'
import type { Call, Handler } from '../http/route'
import type { Database, Row } from '../table/database'

async function swatchRows(db: Database, where: object, limit?: number): Promise<Swatch[]> {
  const rows = await db.Swatch.findAll({
    where: { goneAt: null, ...where },
    include: [withName(), { association: 'photo', attributes: ['at'] }],
    order: [['id', 'desc']],
    ...(limit === undefined ? {} : { limit }),
  })
  return rows.map((row) => ({ id: row.id, version: row.version, at: row.at, by: nameOf(row.by), body: row.body, photo: row.photo != null }))
}
async function inBook(db: Database, id: string): Promise<Row<'Swatch'>> {
  const row = await db.Swatch.findOne({ where: { id, goneAt: null } })
  if (!row) throw notFound('strip')
  return row
}

export const book: Handler<typeof toneApi.get> = async ({ db, query: { limit, after } }) =>
  pageOf(await swatchRows(db, after === undefined ? {} : { id: { [Op.lt]: after } }, limit + 1), limit)

export const keep: Handler<typeof toneApi.keep> = async ({ db, body: { id, body }, who, now }) => {
  requireSwatch(body)
  await db.Swatch.create({ id, at: now, byPerson: who.id, body })
  const [row] = await swatchRows(db, { id })
  if (!row) throw notFound('strip')
  return row
}

/** The picture made anew from its pixels, before anything is locked. */
export async function photoOf({ db, params, upload }: Call<typeof toneApi.putPhoto>): Promise<KeptPicture> {
  await inBook(db, params.id)
  return sentPicture(upload)
}

export const putPhoto: Handler<typeof toneApi.putPhoto> = async ({ db, params: { id }, now, before }) => {
  await inBook(db, id)
  await db.SwatchPhoto.upsert({ swatchId: id, ...(before as KeptPicture), at: now })
  return { done: true as const }
}

export const getPhoto: Handler<typeof toneApi.getPhoto> = async ({ db, params: { id } }) => {
  await inBook(db, id)
  return pictureNamed('strip', await db.SwatchPhoto.findByPk(id))
}

export const takeOut: Handler<typeof toneApi.takeOut> = async ({ db, params: { id }, body: { version }, now }) => {
  const row = await inBook(db, id)
  await saveSeen(row.set({ goneAt: now }), version, () => row)
  return { done: true as const }
}
