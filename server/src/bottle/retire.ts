import type { Bottle } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Database } from '../database/connection'
import { stale } from '../http/refusal'
import { writeEntry, writeWaste } from './ledger'

/** Takes a locked bottle out of use, as a line of its ledger; with `discard` what it holds goes to the waste. */
export async function retire(
  db: Database,
  bottle: Bottle,
  call: { by: string; now: number; why: string; groupId?: string; discard?: boolean; version?: number },
  tx: Transaction | undefined,
): Promise<void> {
  const changed = await db.rows(
    'update bottle set retired_at = $3, retired_why = $4, version = version + 1 where id = $1 and version = $2 and retired_at is null returning id',
    [bottle.id, call.version ?? bottle.version, new Date(call.now), call.why],
    tx,
  )
  if (changed.length === 0) throw stale(bottle)
  const groupId = call.groupId ?? uuid()
  const line = { bottleId: bottle.id, at: call.now, by: call.by, groupId }
  await writeEntry(db, { ...line, id: uuid(), kind: 'retire', ml: 0, note: call.why }, tx)
  if (!call.discard || bottle.state.volumeMl <= 0) return
  const entryId = uuid()
  await writeEntry(db, { ...line, id: entryId, kind: 'discard', ml: -bottle.state.volumeMl }, tx)
  await writeWaste(
    db,
    {
      at: call.now,
      by: call.by,
      family: bottle.family,
      ml: bottle.state.volumeMl,
      silverGPerL: bottle.state.silverGPerL,
      bottleId: bottle.id,
      entryId,
      note: call.why,
    },
    tx,
  )
}
