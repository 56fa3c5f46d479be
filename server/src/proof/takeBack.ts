import type { Proof } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { reverseEntry } from '../bottle/takeBack'
import type { Database } from '../database/connection'
import { Refusal } from '../http/refusal'
import { afterTakenBack } from './consequences'
import { proofRow } from './rows'

/** Takes a test back with all that followed from it: by its line in a bottle's ledger where it has one, else by a line of its own. */
export async function takeProofBack(
  db: Database,
  asked: { id: string; newId: string; reason: string; by: string; now: number },
  tx: Transaction | undefined,
): Promise<Proof> {
  const proof = await proofRow(db, asked.id, tx)
  if (proof.takenBack) throw new Refusal(409, 'reversed', 'That test has been taken back already.')
  if (proof.kind === 'thermometer-points' || proof.kind === 'safelight-coin')
    throw new Refusal(422, 'not-undone', 'That is not taken back but done anew: the next comparison or coin replaces it.')
  const line = await db.one<{ id: string; bottleId: string }>(
    `select id, bottle_id as "bottleId" from bottle_entry where proof_id = $1 and kind = 'test'`,
    [asked.id],
    tx,
  )
  if (line) await reverseEntry(db, { bottleId: line.bottleId, entryId: line.id, ...asked }, tx)
  else {
    await db.run(
      'insert into proof_taken_back (proof_id, at, by_person, reason) values ($1, $2, $3, $4)',
      [asked.id, new Date(asked.now), asked.by, asked.reason],
      tx,
    )
    await afterTakenBack(db, { proofIds: [asked.id], by: asked.by, now: asked.now, reason: asked.reason }, tx)
    if (proof.instrumentId) await db.run('update instrument set version = version + 1 where id = $1', [proof.instrumentId], tx)
  }
  return proofRow(db, asked.id, tx)
}
