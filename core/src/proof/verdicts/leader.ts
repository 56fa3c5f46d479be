import { requirePositive } from '../../error'
import { leaderLimit } from '../limits'
import { atBestMarginal, judged, noReference, sources, toThousandth, type Judgement, type Reading, type Reference } from './judgement'

/** °C a timing may be off its reference's temperature before it means something else. */
export const sameC = 1
/** A developer works so much faster per °C. Rounded literature value. */
const perC = 0.055
/** less than this of the fresh time no developer takes by itself */
const tooFast = 0.7

/** Seconds until a light-struck leader is black, against the fresh bath at the same temperature: up to 1.5 times keep, from 2 retire. */
export function leader(seconds: number, { celsius }: Reading, reference: Reference | null): Judgement {
  requirePositive({ 'The time': seconds })
  if (!reference) return judged(noReference(`Full black after ${Math.round(seconds)} s.`))
  const off = celsius === undefined || reference.celsius === null ? null : celsius - reference.celsius
  const corrected = off !== null && Math.abs(off) > sameC
  const compared = corrected ? seconds * (1 + perC) ** off : seconds
  const ratio = toThousandth(compared / reference.value)
  const says = `Full black after ${Math.round(seconds)} s${corrected ? `, about ${Math.round(compared)} s at the fresh reading’s temperature` : ''}, ${ratio.toFixed(2)} times the fresh ${Math.round(reference.value)} s`
  const known = { ratio, reference: reference.value, corrected, restsOn: sources[reference.from] }
  const verdict = byRatio()
  if (off === null)
    return atBestMarginal(
      verdict,
      `No more than marginal: ${celsius === undefined ? 'its temperature was not written down' : 'the temperature of the fresh reading is not known'}.`,
    )
  return corrected
    ? atBestMarginal(
        verdict,
        `No more than marginal: read ${Math.abs(off).toFixed(1)} °C from the fresh reading. Repeat it at the same temperature.`,
      )
    : verdict

  function byRatio(): Judgement {
    if (ratio >= leaderLimit.retire) return judged({ ...known, verdict: 'failed', rule: 'leader-2', reason: `${says}: retire it.` })
    if (ratio > leaderLimit.marginal)
      return judged({
        ...known,
        verdict: 'marginal',
        rule: 'leader-1.5',
        reason: `${says}: do the scrap density test before film goes in.`,
        againDays: 0,
      })
    if (ratio < tooFast)
      return judged({
        ...known,
        verdict: 'marginal',
        rule: 'leader-fast',
        reason: `${says}, faster than when it was fresh: too warm, another bottle, or a wrong reference. Repeat it.`,
        againDays: 0,
      })
    return judged({ ...known, verdict: 'keep', rule: 'leader-keep', reason: `${says}.` })
  }
}
