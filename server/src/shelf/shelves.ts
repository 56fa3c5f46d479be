import { assumedShelfC } from '@selvrin/core'
import type { Shelf } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { saveSeen } from '../http/changing'
import { stale } from '../house/refusal'
import type { Database } from '../table/database'

type Facts = Pick<Shelf, 'id' | 'name' | 'celsius'>

export const shelfById = async (db: Database, id: string): Promise<Shelf | null> => (await db.Shelf.findByPk(id))?.get() ?? null

export const addShelf = async (db: Database, { id, name, celsius }: Facts): Promise<Shelf> =>
  (await db.Shelf.create({ id, name, celsius })).get()

/** Renames a shelf or says how warm it is; what stands there is warmer or cooler from now on, by a line in each ledger. */
export async function changeShelf(
  db: Database,
  { id, version, name, celsius }: Facts & { version: number },
  { by, now }: { by: string; now: number },
): Promise<Shelf> {
  const shelf = await db.Shelf.findByPk(id, { lock: true })
  if (!shelf) throw stale(null)
  const before = shelf.celsius
  await saveSeen(shelf.set({ name, celsius }), version, () => shelfById(db, id))
  if (before !== celsius) {
    const standing = await db.Bottle.findAll({
      attributes: ['id'],
      where: { shelfId: id, retiredAt: null },
      order: [['id', 'asc']],
      lock: true,
    })
    const note = celsius === null ? `${name}: nobody knows any more how warm it is` : `${name} is at ${celsius} °C now`
    const line = { kind: 'move' as const, at: now, byPerson: by, ml: 0, celsius: celsius ?? assumedShelfC, note }
    await db.BottleEntry.bulkCreate(standing.map((bottle) => ({ ...line, id: uuid(), bottleId: bottle.id })))
  }
  return shelf.get()
}
