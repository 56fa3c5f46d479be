import type { Brought } from '@selvrin/core'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { House } from '../http/route'
import { newLabelCode, nextLabel } from './labels'
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
  ownUse?: object | null
  groupId?: string
}

/** Puts a labelled bottle on the shelf and fills it; answers its label. */
export async function putOnShelf({ db }: House, bottle: NewBottle, tx: Transaction | undefined): Promise<string> {
  const { letter, number } = await nextLabel(db, bottle.family, tx)
  const code = await newLabelCode(db, tx)
  const shelf = bottle.shelfId
    ? await db.one<{ celsius: number | null }>('select celsius from shelf where id = $1', [bottle.shelfId], tx)
    : undefined
  await db.run(
    `insert into bottle (id, letter, number, code, formula_version_id, batch_id, from_bottle_id, size_ml, parts, made_at, made_by, shelf_id, own_use)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)`,
    [
      bottle.id,
      letter,
      number,
      code,
      bottle.formulaVersionId,
      bottle.batchId,
      bottle.fromBottleId,
      bottle.sizeMl,
      bottle.parts,
      new Date(bottle.madeAt ?? bottle.now),
      bottle.by,
      bottle.shelfId ?? null,
      bottle.ownUse ? JSON.stringify(bottle.ownUse) : null,
    ],
    tx,
  )
  await writeEntry(
    db,
    {
      id: uuid(),
      bottleId: bottle.id,
      kind: 'fill',
      at: bottle.now,
      by: bottle.by,
      ml: bottle.ml,
      brings: bottle.brings ?? null,
      otherBottleId: bottle.fromBottleId,
      celsius: shelf?.celsius ?? null,
      groupId: bottle.groupId ?? null,
    },
    tx,
  )
  return `${letter}${number}`
}
