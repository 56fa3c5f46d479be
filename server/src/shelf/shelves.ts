import { assumedShelfC } from '@selvrin/core'
import type { Shelf } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Database } from '../database/connection'

export const shelfRows = 'select id, version, name, celsius, position from shelf'
type Facts = Pick<Shelf, 'id' | 'name' | 'celsius'>

export const shelfById = (db: Database, id: string, tx: Transaction | undefined): Promise<Shelf | undefined> =>
  db.one<Shelf>(`${shelfRows} where id = $1`, [id], tx)

export const addShelf = (db: Database, { id, name, celsius }: Facts, tx: Transaction | undefined): Promise<unknown> =>
  db.run('insert into shelf (id, name, celsius) values ($1, $2, $3)', [id, name, celsius], tx)

/** Renames a shelf or says how warm it is; what stands there is warmer or cooler from now on, by a line in each ledger. Nothing where its version is another. */
export async function changeShelf(
  db: Database,
  shelf: Facts & { version: number },
  { by, now }: { by: string; now: number },
  tx: Transaction | undefined,
): Promise<Shelf | undefined> {
  const before = await db.one<Shelf>(`${shelfRows} where id = $1 for update`, [shelf.id], tx)
  if (before?.version !== shelf.version) return undefined
  await db.run('update shelf set name = $2, celsius = $3, version = version + 1 where id = $1', [shelf.id, shelf.name, shelf.celsius], tx)
  if (before.celsius !== shelf.celsius) {
    const standing = await db.rows<{ id: string }>(
      'select id from bottle where shelf_id = $1 and retired_at is null order by id for update',
      [shelf.id],
      tx,
    )
    await db.run(
      `insert into bottle_entry (id, bottle_id, kind, at, by_person, ml, celsius, note) select t.id, t.bottle_id, v.kind, v.at, v.by_person, v.ml, v.celsius, v.note from unnest($1::uuid[], $2::uuid[]) as t(id, bottle_id)
         cross join (values ('move', $3::timestamptz, $4::uuid, 0::numeric, $5::numeric, $6)) as v(kind, at, by_person, ml, celsius, note)`,
      [
        standing.map(() => uuid()),
        standing.map((one) => one.id),
        new Date(now),
        by,
        shelf.celsius ?? assumedShelfC,
        shelf.celsius === null ? `${shelf.name}: nobody knows any more how warm it is` : `${shelf.name} is at ${shelf.celsius} °C now`,
      ],
      tx,
    )
  }
  return shelfById(db, shelf.id, tx)
}
