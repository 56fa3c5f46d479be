import { drumOf, type Drum } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import type { Database } from '../table/database'
import { contentsOf } from './contents'

interface Poured {
  family: string
  ml: number
  silverG: number
  bottleId: string
  /** the line that took it out of its bottle */
  entryId: string
  note: string
  /** where its process says it goes */
  drum?: Drum
}

/** The drum of what is really in each bottle, by its id; null where none is for it. */
export async function drumsOf(db: Database, poured: Pick<Poured, 'bottleId' | 'family'>[]): Promise<Map<string, Drum | null>> {
  const catalogue = await catalogueOf(db)
  const drums = new Map<string, Drum | null>()
  for (const { bottleId, family } of poured)
    if (!drums.has(bottleId))
      drums.set(bottleId, drumOf({ family, additions: (await contentsOf(db, bottleId, catalogue)).additions }, catalogue))
  return drums
}

/** Writes down what was poured away, each into the drum of what is really in it. */
export async function writeWaste(db: Database, poured: Poured[], { by, now }: { by: string; now: number }): Promise<void> {
  if (poured.length === 0) return
  const drums = await drumsOf(db, poured)
  await db.WasteEntry.bulkCreate(
    poured.map((one) => ({ id: uuid(), at: now, byPerson: by, ...one, drum: one.drum ?? drums.get(one.bottleId) ?? null })),
  )
}
