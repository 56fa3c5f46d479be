import type { Roll } from '@selvrin/core/contract'
import { col, fn, Op, where, type WhereOptions } from 'sequelize'
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
export const filmsWhere = async (db: Database, which: WhereOptions, order: 'asc' | 'desc' = 'asc', limit?: number): Promise<Roll[]> =>
  (await db.Roll.findAll({ ...withOthers, where: which, order: [['id', order]], ...(limit === undefined ? {} : { limit }) })).map(shown)

/** Ids of films of which every word says something, newest first; `marked`: only those a failed test put in doubt. */
export async function filmsLike(
  db: Database,
  which: WhereOptions,
  { words, marked, limit }: { words: string[]; marked: boolean; limit: number },
): Promise<string[]> {
  const mine = (column: string) => col(`${db.Roll.name}.${column}`)
  const said = fn('plain', fn('concat_ws', ' ', mine('film'), mine('developer'), mine('note'), col('member.name')))
  const inDoubt = { association: 'marks', attributes: [], required: true, where: { clearedAt: null } }
  const rows = await db.Roll.findAll({
    attributes: ['id'],
    include: [{ association: 'member', attributes: [] }, ...(marked ? [inDoubt] : [])],
    where: { [Op.and]: [which, ...words.map((word) => where(said, { [Op.like]: word }))] },
    group: [mine('id') as never],
    order: [['id', 'desc']],
    limit,
    subQuery: false,
    raw: true,
  })
  return rows.map((row) => row.id)
}

export async function rollRow(db: Database, id: string): Promise<Roll> {
  const [roll] = await filmsWhere(db, { id })
  if (!roll) throw notFound('film')
  return roll
}
