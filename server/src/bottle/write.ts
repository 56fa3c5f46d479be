import type { Decided, NewLine } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import type { IntoDrums } from '../drum/waste'
import { asSeen, saveSeen } from '../http/changing'
import type { Database } from '../table/database'
import { asRead, writeEntries, type NewEntry } from './ledger'
import { putOnShelf, type NewBottle } from './putOnShelf'
import { writeWaste } from './waste'
import type { StoredEntry } from './queries'

interface Writing {
  by: string
  now: number
  /** the bottles it was decided on, locked */
  bottles: Bottle[]
  /** what bottles that are made have of those they are made of */
  like?: Omit<NewBottle, 'id' | 'sizeMl' | 'ml' | 'parts' | 'by' | 'now'>
  /** drums that what is poured away goes into at once */
  into?: IntoDrums | undefined
  /** version of the first of the bottles its writer saw */
  seen?: number | undefined
}

/** Lines as they are written: what is decided together has one group, by which it is taken back together. */
export const entriesOf = (lines: NewLine[], { by, now, groupId }: { by: string; now: number; groupId?: string }): NewEntry[] =>
  lines.map((line) => ({ ...line, id: line.id ?? uuid(), at: now, by, ...(groupId === undefined ? {} : { groupId }) }))

async function takeOutOfUse(
  db: Database,
  { bottleId, why }: { bottleId: string; why: string },
  { now, bottles, seen }: Writing,
): Promise<void> {
  const bottle = bottles.find((one) => one.id === bottleId) as Bottle
  const row = asSeen(db.Bottle, { id: bottleId, version: bottle.version })
  const version = seen !== undefined && bottle === bottles[0] ? seen : bottle.version
  await saveSeen(row.set({ retiredAt: now, retiredWhy: why }), version, () => bottle)
}

/** Writes what core decided, all of it together. Answers the lines as they will be read. */
export async function writeDecided(db: Database, decided: Decided, writing: Writing): Promise<StoredEntry[]> {
  const { by, now, like } = writing
  const groupId = uuid()
  for (const one of decided.retired ?? []) await takeOutOfUse(db, one, writing)
  if (like) for (const one of decided.made ?? []) await putOnShelf(db, { ...like, ...one, by, now, groupId })
  const lines = entriesOf(decided.lines, { by, now, groupId })
  await writeEntries(db, lines)
  await writeWaste(
    db,
    (decided.waste ?? []).flatMap(({ line, family, silverGPerL, note }) => {
      const entry = lines[line]
      const ml = -(entry?.ml ?? 0)
      return entry ? [{ family, ml, silverG: ((silverGPerL ?? 0) * ml) / 1000, bottleId: entry.bottleId, entryId: entry.id, note }] : []
    }),
    { by, now, into: writing.into },
  )
  return lines.map(asRead)
}
