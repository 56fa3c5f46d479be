import { DomainError } from '../../error'
import { phLimit } from '../limits'
import { atBestMarginal, judged, noReference, sources, toThousandth, type Judgement, type Reading, type Reference } from './judgement'

/** °C two pH readings may lie apart. */
const sameC = 2

/** A developer’s pH at 20 to 25 °C against its fresh batch: within 0.1 nothing, 0.2 warns, 0.3 retires. It can fail a developer, never pass it. */
export function developerPh(ph: number, { celsius }: Reading, reference: Reference | null): Judgement {
  if (celsius !== undefined && (celsius < 20 || celsius > 25))
    throw new DomainError('wrong-temperature', `Take a developer’s pH at 20 to 25 °C, not at ${celsius} °C.`)
  if (!reference) return judged(noReference(`It reads pH ${ph.toFixed(2)}.`))
  const off = toThousandth(Math.abs(ph - reference.value))
  const says = `pH ${ph.toFixed(2)} is ${off.toFixed(2)} from the fresh ${reference.value.toFixed(2)}`
  const known = { ratio: null, reference: reference.value, restsOn: sources[reference.from] }
  const verdict = byDifference()
  if (celsius === undefined) return atBestMarginal(verdict, 'No more than marginal: its temperature was not written down.')
  return reference.celsius !== null && Math.abs(celsius - reference.celsius) > sameC
    ? atBestMarginal(
        verdict,
        `No more than marginal: the fresh reading was taken at ${reference.celsius} °C, and pH moves with the temperature.`,
      )
    : verdict

  function byDifference(): Judgement {
    if (off >= phLimit.retire)
      return judged({ ...known, verdict: 'failed', rule: 'ph-0.3', reason: `${says}: retire it for critical work.` })
    if (off >= phLimit.marginal)
      return judged({ ...known, verdict: 'marginal', rule: 'ph-0.2', reason: `${says}: expect a change of contrast.` })
    return judged({
      ...known,
      verdict: 'keep',
      rule: off > phLimit.watch ? 'ph-watch' : 'ph-0.1',
      reason: `${says}. pH can fail a developer but never pass it: ascorbate dies without showing it.`,
    })
  }
}
