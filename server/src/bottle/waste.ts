import { drumOf, perLitre, type Catalogue, type Drum, type Formula, type Held } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { pourWaste, type IntoDrums } from '../drum/waste'
import type { Database } from '../table/database'
import { contentsOf } from './contents'

interface Poured {
  family: string
  ml: number
  silverG: number
  bottleId: string
  /** the line that took it out of its bottle; ml it took, where that is less: it was diluted */
  entryId: string
  drawnMl?: number
  source?: 'bottle' | 'run'
  note: string
  /** where its process says it goes */
  drum?: Drum
}

/** What is really in each bottle, by its id. */
async function contentsIn(db: Database, bottleIds: string[], catalogue: Catalogue): Promise<Map<string, Formula>> {
  const all = new Map<string, Formula>()
  for (const id of new Set(bottleIds)) all.set(id, await contentsOf(db, id, catalogue))
  return all
}

/** The drum of what is really in each bottle, by its id; null where none is for it. */
export async function drumsOf(db: Database, poured: Pick<Poured, 'bottleId' | 'family'>[]): Promise<Map<string, Drum | null>> {
  const catalogue = await catalogueOf(db)
  const contents = await contentsIn(
    db,
    poured.map((one) => one.bottleId),
    catalogue,
  )
  return new Map(
    poured.map(({ bottleId, family }) => [bottleId, drumOf({ family, additions: contents.get(bottleId)?.additions ?? [] }, catalogue)]),
  )
}

/** g of products in ml of a liquid; null where nobody knows its recipe. */
function heldIn(formula: Formula | undefined, ml: number, catalogue: Catalogue): Held[] | null {
  if (!formula || formula.additions.length === 0) return null
  return Object.entries(perLitre(formula, catalogue)).map(([chemical, grams]) => ({ chemical, grams: (grams * ml) / 1000 }))
}

/** Writes down what was poured away, each for the drum of what is really in it; into those drums that were chosen it is poured with it. */
export async function writeWaste(
  db: Database,
  poured: Poured[],
  { by, now, into = {} }: { by: string; now: number; into?: IntoDrums | undefined },
): Promise<void> {
  if (poured.length === 0) return
  const catalogue = await catalogueOf(db)
  const contents = await contentsIn(
    db,
    poured.map((one) => one.bottleId),
    catalogue,
  )
  const rows = await db.WasteEntry.bulkCreate(
    poured.map(({ drawnMl, ...one }) => {
      const formula = contents.get(one.bottleId)
      return {
        ...{ id: uuid(), at: now, byPerson: by, ...one, contents: heldIn(formula, drawnMl ?? one.ml, catalogue) },
        drum: one.drum ?? drumOf({ family: one.family, additions: formula?.additions ?? [] }, catalogue),
      }
    }),
  )
  await pourWaste(db, rows, into, { by, now })
}
