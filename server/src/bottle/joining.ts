import { pouredTogether } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { Refusal } from '../house/refusal'
import type { Database } from '../table/database'
import { contentsOf } from './contents'
import { broughtFrom, writeEntry } from './ledger'
import { requireUsable, requireVolume } from './requiring'

/** What comes of pouring ml of one bottle onto what another holds, by what is really in them. */
export async function meetingOf(db: Database, into: Bottle, from: Bottle, ml: number) {
  const catalogue = await catalogueOf(db)
  return pouredTogether(
    [
      { formula: await contentsOf(db, into.id, catalogue), ml: into.state.volumeMl },
      { formula: await contentsOf(db, from.id, catalogue), ml },
    ],
    catalogue,
  )
}

interface Taking {
  ml: number
  by: string
  now: number
  groupId: string
  overrule: string | undefined
}

/** Liquid of another bottle, safe to join this one's; taken from its ledger. */
export async function takeFrom(db: Database, into: Bottle, from: Bottle, { ml, by, now, groupId, overrule }: Taking) {
  const why = requireUsable(from, overrule)
  requireVolume(from, ml)
  const meeting = await meetingOf(db, into, from, ml)
  if (meeting) throw new Refusal(422, 'never-meets', `${from.label} and ${into.label} are not poured together: ${meeting.danger}`)
  if (from.formulaId !== into.formulaId && from.family !== into.family)
    throw new Refusal(
      422,
      'other-family',
      `${from.label} ${from.name} does not belong into ${into.label} ${into.name}. If it was poured there, write that down as poured into the wrong bottle.`,
    )
  const note = [`into ${into.label}`, why].filter(Boolean).join('. ')
  await writeEntry(db, { id: uuid(), bottleId: from.id, kind: 'pour-out', at: now, by, ml: -ml, otherBottleId: into.id, groupId, note })
  return broughtFrom(from.state)
}
