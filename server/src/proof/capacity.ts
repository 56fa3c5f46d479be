import { capacityFromTests, comparedReading, type TestedLife } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import type { Handler } from '../http/route'
import { capacityMarks } from './queries'

/** What the tests of a formula's bottles say of its capacity. */
export const capacity: Handler<typeof api.proof.capacity> = async ({ db, params }) => {
  const lives = new Map<string, TestedLife>()
  for (const mark of await capacityMarks(db, params.id)) {
    const life = lives.get(mark.bottleId) ?? { clearing: [], failedAtRollsPerL: null }
    const seconds = mark.kind === 'clearing-time' ? comparedReading(mark.reading.value, mark.judgement) : null
    if (mark.judgement.verdict === 'failed' && mark.rollsPerL > 0) life.failedAtRollsPerL ??= mark.rollsPerL
    const fresh = mark.fromBatch ? mark.judgement.reference : null
    // every life begins with the fresh reading of its batch, wherever that was read
    if (mark.kind === 'clearing-time' && fresh !== null && fresh > 0 && !life.clearing.some((one) => one.rollsPerLitre === 0))
      life.clearing.unshift({ rollsPerLitre: 0, seconds: fresh })
    if (seconds !== null && seconds > 0) life.clearing.push({ rollsPerLitre: mark.rollsPerL, seconds })
    lives.set(mark.bottleId, life)
  }
  return { estimate: capacityFromTests([...lives.values()]), bottles: lives.size }
}
