import { coatStanding, type CoatedBody, type CoatStanding } from '@selvrin/core'
import type { CoatedSheet, UvLamp } from '@selvrin/core/contract'
import type { FindOptions, WhereOptions } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Who } from '../http/who'
import type { Database, Row } from '../table/database'

const hourS = 3600

/** A lamp with its hours of now. */
export const lampRow = ({ id, version, body, runS }: Row<'UvLamp'>): UvLamp => ({
  id,
  version,
  body: { ...body, hours: body.hours + runS / hourS },
})

export const lampRows = async (db: Database): Promise<UvLamp[]> =>
  (await db.UvLamp.findAll({ where: { goneAt: null }, order: ['id'] })).map(lampRow)

/** One's own prints; a technician’s are everybody’s. */
export const ownOf = (who: Who): object => (who.role === 'technician' ? {} : { memberId: who.id })

export async function coatedRows(db: Database, where: WhereOptions, options: FindOptions = {}): Promise<CoatedSheet[]> {
  const rows = await db.Coated.findAll({
    ...options,
    where,
    include: [withName('member'), { association: 'acts', include: [withName()], separate: true, order: ['seq'] }],
  })
  return rows.map((row) => ({
    ...{ id: row.id, version: row.version, number: row.number, memberId: row.memberId, member: nameOf(row.member) },
    ...{ at: row.at, body: row.body },
    acts: (row.acts ?? []).map(({ id, at, by, act, light, cost }) => ({ id, at, by: nameOf(by), act, light, cost })),
  }))
}

/** A print somebody may see. */
export async function ownCoated(db: Database, id: string, who: Who): Promise<CoatedSheet> {
  const [row] = await coatedRows(db, { id, ...ownOf(who) })
  if (!row) throw notFound('print')
  return row
}

export const standingOf = ({ body, acts }: { body: CoatedBody; acts: CoatedSheet['acts'] }): CoatStanding =>
  coatStanding(body.process, acts)
