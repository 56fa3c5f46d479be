import type { api } from '@selvrin/core/contract'
import { reverseEntry } from '../bottle/takeBack'
import { afterTakenBack } from '../film/consequences'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import { proofRow } from './rows'

/** Takes a test back with all that followed from it: by its line in a bottle's ledger where it has one, else by a line of its own. */
export const takeBack: Handler<typeof api.proof.takeBack> = async ({ db, params: { id }, body: { newId, reason }, who, now }) => {
  const proof = await proofRow(db, id)
  if (proof.takenBack) throw new Refusal(409, 'reversed', 'That test has been taken back already.')
  if (proof.kind === 'thermometer-points' || proof.kind === 'safelight-coin')
    throw new Refusal(422, 'not-undone', 'That is not taken back but done anew: the next comparison or coin replaces it.')
  const by = who.id
  const line = await db.BottleEntry.findOne({ attributes: ['id', 'bottleId'], where: { proofId: id, kind: 'test' }, raw: true })
  if (line) await reverseEntry(db, { bottleId: line.bottleId, entryId: line.id, newId, reason, by, now })
  else {
    await db.ProofTakenBack.create({ proofId: id, at: now, byPerson: by, reason })
    await afterTakenBack(db, { proofIds: [id], by, now, reason })
    if (proof.instrumentId) await changeAll(db.Instrument, {}, { id: proof.instrumentId })
  }
  return proofRow(db, id)
}
