import type { Roll } from '@selvrin/core/contract'
import type { WhereOptions } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Database, Row } from '../table/database'

const withOthers = { include: [withName('member'), { association: 'run', attributes: ['number'] }, { association: 'marks' }] }

const shown = (row: Row<'Roll'>): Roll => ({
  ...row.get(),
  member: nameOf(row.member),
  runNumber: row.run?.number ?? null,
  marks: (row.marks ?? [])
    .map(({ id, at, text, helps, clearedAt, cleared }) => ({ id, at, text, helps, clearedAt, cleared }))
    .sort((a, b) => (a.id < b.id ? -1 : 1)),
})

/** Films with their marks, in the order of their ids. */
export const filmsWhere = async (db: Database, where: WhereOptions, order: 'asc' | 'desc' = 'asc', limit?: number): Promise<Roll[]> =>
  (await db.Roll.findAll({ ...withOthers, where, order: [['id', order]], ...(limit === undefined ? {} : { limit }) })).map(shown)

export async function rollRow(db: Database, id: string): Promise<Roll> {
  const [roll] = await filmsWhere(db, { id })
  if (!roll) throw notFound('film')
  return roll
}
