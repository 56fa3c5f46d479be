import type { Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { asSeen, saveSeen } from '../http/changing'
import { stale } from '../house/refusal'
import type { Database } from '../table/database'
import { writeEntry, writeWaste } from './ledger'

interface Retiring {
  by: string
  now: number
  why: string
  groupId?: string
  discard?: boolean
  version?: number
}

/** Takes a locked bottle out of use, as a line of its ledger; with `discard` what it holds goes to the waste. */
export async function retire(db: Database, bottle: Bottle, call: Retiring): Promise<void> {
  if (bottle.retiredAt !== null) throw stale(bottle)
  const row = asSeen(db.Bottle, { id: bottle.id, version: bottle.version })
  await saveSeen(row.set({ retiredAt: call.now, retiredWhy: call.why }), call.version ?? bottle.version, () => bottle)
  const groupId = call.groupId ?? uuid()
  const line = { bottleId: bottle.id, at: call.now, by: call.by, groupId }
  await writeEntry(db, { ...line, id: uuid(), kind: 'retire', ml: 0, note: call.why })
  const ml = bottle.state.volumeMl
  if (!call.discard || ml <= 0) return
  const entryId = uuid()
  await writeEntry(db, { ...line, id: entryId, kind: 'discard', ml: -ml })
  const { family, state } = bottle
  await writeWaste(db, {
    at: call.now,
    by: call.by,
    family,
    ml,
    silverGPerL: state.silverGPerL,
    bottleId: bottle.id,
    entryId,
    note: call.why,
  })
}
