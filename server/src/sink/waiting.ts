import type { Drum as Family } from '@selvrin/core'
import { standingDrains } from '../drum/draining'
import type { Portion } from '../drum/pouring'
import { portionOf, standingPours } from '../drum/waste'
import { Refusal } from '../house/refusal'
import { wasteRows } from '../shelf/queries'
import type { Database } from '../table/database'

/** Lines of what was poured away that stand in no drum yet and did not go down the drain, locked: two who pour the same wait for each other. */
export async function waitingPortions(db: Database, asked: { wasteId: string; entryId: string }[], family: Family): Promise<Portion[]> {
  const ids = asked.map((one) => one.wasteId)
  const rows = await db.WasteEntry.findAll({ where: { id: ids }, order: ['id'], lock: true })
  const there = new Set((await wasteRows(db, { ids, after: null, limit: null })).map((one) => one.id))
  const [poured, drained] = [await standingPours(db, ids), await standingDrains(db, ids)]
  return asked.map(({ wasteId, entryId }) => {
    const row = rows.find((one) => one.id === wasteId)
    if (!row || !there.has(wasteId))
      throw new Refusal(409, 'waste-gone', 'A line of what was poured away was taken back meanwhile. Nothing was poured.')
    if (poured.some((one) => one.wasteId === wasteId))
      throw new Refusal(409, 'waste-poured', 'That stands in a drum already. Nothing was poured.')
    if (drained.some((one) => one.wasteId === wasteId))
      throw new Refusal(409, 'waste-poured', 'That went down the drain already. Nothing was poured.')
    return portionOf(row, { entryId, family })
  })
}
