import type { Drum as Family } from '@selvrin/core'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import type { Database, Row } from '../table/database'
import { reverseDrain, standingDrains } from './draining'
import { pourInto, type Portion } from './pouring'

/** Into which drum each family goes, by their ids. */
export type IntoDrums = Partial<Record<Family, string>>
interface By {
  by: string
  now: number
}

/** A line of what was poured away as it goes into a drum. What belongs to no family goes by the drum somebody chose. */
export const portionOf = (waste: Row<'WasteEntry'>, { entryId, family }: { entryId: string; family: Family }): Portion => ({
  ...{ entryId, family: (waste.drum as Family | null) ?? family, ml: waste.ml, silverG: waste.silverG, contents: waste.contents },
  ...{ source: waste.source, wasteId: waste.id, metal: null, note: waste.note },
})

/** What was just poured away goes into the drums that were chosen; what none was chosen for waits. */
export async function pourWaste(db: Database, waste: Row<'WasteEntry'>[], into: IntoDrums, { by, now }: By): Promise<void> {
  const chosen = waste.flatMap((one) => {
    const family = one.drum as Family | null
    const drumId = family === null ? undefined : into[family]
    return family === null || drumId === undefined ? [] : [{ drumId, portion: portionOf(one, { entryId: uuid(), family }) }]
  })
  // locked in one order, whoever pours
  for (const drumId of [...new Set(chosen.map((one) => one.drumId))].sort())
    await pourInto(
      db,
      drumId,
      chosen.flatMap((one) => (one.drumId === drumId ? [one.portion] : [])),
      { by, now },
    )
}

/** Lines of drums that pours of that waste still stand in. */
export async function standingPours(db: Database, wasteIds: string[]): Promise<Row<'DrumEntry'>[]> {
  const pours = await db.DrumEntry.findAll({ where: { wasteId: wasteIds, kind: 'pour' }, order: ['seq'] })
  const back = await db.DrumEntry.findAll({ attributes: ['reverses'], where: { reverses: pours.map((one) => one.id) }, raw: true })
  return pours.filter((one) => !back.some((other) => other.reverses === one.id))
}

/** Takes a line of a drum back by a second one. A drum that was collected is gone as it was. */
export async function reversePour(
  db: Database,
  entry: Row<'DrumEntry'>,
  { id, why, by, now }: By & { id: string; why: string },
): Promise<void> {
  const drum = await db.Drum.findByPk(entry.drumId, { lock: true, rejectOnEmpty: true })
  if (drum.collectedAt !== null)
    throw new Refusal(
      409,
      'drum-collected',
      `It stands in drum ${drum.code}, which was collected as it was: nothing in it can be taken back any more.`,
    )
  const { drumId, kind, gPerMl, family, source, wasteId, contents } = entry
  await db.DrumEntry.create({
    ...{ id, drumId, at: now, byPerson: by, kind: 'reverse', gPerMl, family, source, wasteId, contents, reverses: entry.id, note: why },
    ...(kind === 'pour' ? { ml: -entry.ml, silverG: -entry.silverG } : { ml: 0, silverG: 0 }),
  })
}

/** What was poured away by mistake, or never, leaves its drum, or the drain’s ledger, with the line that is taken back. */
export async function takeWasteBack(
  db: Database,
  of: { entryIds: string[] } | { runId: string },
  { why, ...by }: By & { why: string },
): Promise<void> {
  const where = 'runId' in of ? { runId: of.runId, entryId: null } : { entryId: { [Op.in]: of.entryIds } }
  const waste = await db.WasteEntry.findAll({ attributes: ['id'], where, raw: true })
  if (waste.length === 0) return
  const ids = waste.map((one) => one.id)
  for (const entry of await standingPours(db, ids)) await reversePour(db, entry, { id: uuid(), why, ...by })
  for (const entry of await standingDrains(db, ids)) await reverseDrain(db, entry, { id: uuid(), why, ...by })
}
