import { DomainError, requirePositive } from '../../error'
import { clearingAt, slowFilmFactor } from '../clearing'
import { fixTimes } from '../fixingTime'
import { clearingLimit } from '../limits'
import {
  atBestMarginal,
  judged,
  noReference,
  soonDays,
  sources,
  toThousandth,
  type Judgement,
  type Reading,
  type Reference,
} from './judgement'
import { sameC } from './leader'

/** less than this of the fresh time, at the same temperature and with the same film, cannot be */
const cannotBe = 0.75

/** Clearing time against the fresh one of the same film and temperature: from 2 times on retire; else what to fix. */
export function clearingTime(seconds: number, reading: Reading, reference: Reference | null): Judgement {
  requirePositive({ 'The clearing time': seconds })
  const { celsius, slowClearing } = reading
  const times = fixTimes(slowClearing ?? true)
  const fix = (s: number) => `Fix ${times} times the clearing time, ${Math.round(times * s)} s at the temperature it was read at.`
  const lacks = [
    ...(celsius === undefined ? ['its temperature was not written down'] : []),
    ...(slowClearing === undefined ? ['the kind of film was not said, so the slower is assumed'] : []),
  ]
  const doubted = (judgement: Judgement): Judgement =>
    lacks.length === 0 ? judgement : atBestMarginal(judgement, `No more than marginal: ${lacks.join(', and ')}.`)
  if (!reference)
    return doubted(
      judged({
        ...noReference(`It clears in ${Math.round(seconds)} s.`),
        fixS: times * seconds,
        reason: `It clears in ${Math.round(seconds)} s. ${fix(seconds)} Whether it is tired cannot be said without a fresh reading.`,
      }),
    )
  const off = celsius === undefined || reference.celsius === null ? 0 : celsius - reference.celsius
  const otherFilm = slowClearing !== undefined && reference.slowClearing != null && slowClearing !== reference.slowClearing
  // brought to the fresh reading's temperature and its kind of film, however near they are
  const atSameC = off === 0 ? seconds : clearingAt(seconds, celsius ?? 0, reference.celsius ?? 0)
  const compared = otherFilm ? (slowClearing ? atSameC / slowFilmFactor : atSameC * slowFilmFactor) : atSameC
  const corrected = Math.abs(off) > sameC || otherFilm
  const ratio = toThousandth(compared / reference.value)
  const says = `It clears in ${Math.round(seconds)} s${corrected ? `, ${Math.round(compared)} s at the fresh reading’s ${reference.celsius === null ? 'temperature' : `${reference.celsius} °C`}${otherFilm ? ' and with its kind of film' : ''}` : ''}, ${ratio.toFixed(2)} times the fresh ${Math.round(reference.value)} s.`
  const known = {
    ratio,
    reference: reference.value,
    compared,
    restsOn: `${sources[reference.from]}${corrected ? '; corrected for what was different' : ''}`,
    corrected,
  }
  if (ratio >= clearingLimit.retire)
    return judged({ ...known, verdict: 'failed', rule: 'clearing-2', reason: `${says} At twice the fresh time it is retired.` })
  if (ratio < cannotBe) {
    if (!reading.doubtful)
      throw new DomainError(
        'implausible',
        `${says} Faster than when it was fresh cannot be: another bottle, another film, not the whole spot? Read it again, or say why it is kept.`,
      )
    // kept for the record: it makes nobody fix shorter
    const freshThere = seconds / Math.max(ratio, 0.001)
    return judged({
      ...known,
      compared: null,
      fixS: times * freshThere,
      verdict: 'marginal',
      rule: 'clearing-fast',
      reason: `${says} Kept because: ${reading.doubtful}. It shortens no fixing and lengthens no life.`,
      againDays: 0,
    })
  }
  return doubted(
    judged({
      ...known,
      fixS: times * seconds,
      verdict: 'keep',
      rule: slowClearing ? 'clearing-3x' : 'clearing-2x',
      reason: `${says} ${fix(seconds)}`,
      ...(ratio >= clearingLimit.soon ? { againDays: soonDays } : {}),
    }),
  )
}
