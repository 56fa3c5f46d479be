import type { Brought, Container } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { newLabelCode } from '../label/codes'
import type { Database } from '../table/database'
import { nextLabel } from './labels'
import { writeEntry } from './ledger'

export interface NewBottle {
  id: string
  family: string
  formulaVersionId: string
  batchId: string | null
  fromBottleId: string | null
  sizeMl: number
  ml: number
  parts: number[] | null
  by: string
  now: number
  /** decanted: when its liquid was mixed, and what it has behind it */
  madeAt?: number
  brings?: Brought | undefined
  shelfId?: string | null
  ownUse?: FormulaBody['use'] | null
  kitSetId?: string | null
  groupId?: string
  /** a tray it stands open in */
  container?: Container | null
}

/** Puts a labelled bottle on the shelf and fills it; answers its label. */
export async function putOnShelf(db: Database, bottle: NewBottle): Promise<string> {
  const { id, formulaVersionId, batchId, fromBottleId, sizeMl, parts, by, now, shelfId = null, ownUse = null, kitSetId = null } = bottle
  const { letter, number } = await nextLabel(db, bottle.family)
  const code = await newLabelCode(db)
  const shelf = shelfId === null ? null : await db.Shelf.findByPk(shelfId, { attributes: ['celsius'] })
  const facts = { id, letter, number, code, formulaVersionId, batchId, fromBottleId, sizeMl, parts, shelfId, ownUse, kitSetId }
  await db.Bottle.create({ ...facts, madeAt: bottle.madeAt ?? now, madeBy: by }, { returning: false })
  await writeEntry(db, {
    id: uuid(),
    bottleId: id,
    kind: 'fill',
    at: now,
    by,
    ml: bottle.ml,
    brings: bottle.brings ?? null,
    otherBottleId: fromBottleId,
    celsius: shelf?.celsius ?? null,
    container: bottle.container ?? null,
    groupId: bottle.groupId ?? null,
  })
  return `${letter}${number}`
}
