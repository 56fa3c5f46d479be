import { DomainError } from '../../error'
import { densityLimit } from '../limits'
import {
  atBestMarginal,
  judged,
  noReference,
  percent,
  sources,
  toThousandth,
  type Judgement,
  type Reading,
  type Reference,
} from './judgement'

/** more than the method's error over the fresh density */
const tooDense = 1.15
/** densities lighter than base + fog that a densitometer's noise explains */
const noise = 0.02

/** A mid-density scrap against the fresh one, both net of base + fog: over 90 % keep, 75 to 90 % marginal, under 75 % retire. */
export function density(value: number, reading: Reading, reference: Reference | null): Judgement {
  const { base, celsius, approximate = false } = reading
  if (base !== undefined)
    for (const [what, read] of [
      ['The new scrap', value],
      ['The fresh scrap', reference?.value],
    ] as const)
      if (read !== undefined && toThousandth(base - read) > noise)
        throw new DomainError(
          'implausible',
          `${what} reads density ${read.toFixed(2)}, lighter than the clear film beside it (${base.toFixed(2)}): that cannot be. Look at the areas or the figures again.`,
        )
  if (!reference) return judged(noReference(`It reads density ${value.toFixed(2)}.`))
  const net = (read: number) => Math.max(0, read - (base ?? 0))
  if (net(reference.value) <= 0)
    throw new DomainError('implausible', 'The fresh scrap is no denser than clear film, so there is nothing to hold the new one against.')
  const ratio = toThousandth(net(value) / net(reference.value))
  const restsOn = `${sources[reference.from]}${approximate ? '; read approximately, without a wedge' : ''}`
  const over = base === undefined ? '' : ', both over base and fog'
  const says = `Density ${value.toFixed(2)} is ${percent(ratio)} of the fresh ${reference.value.toFixed(2)}${over}`
  const known = { ratio, reference: reference.value, restsOn }
  const verdict = byRatio()
  const lacks = [
    ...(base === undefined ? ['base and fog were not read, so the ratio looks better than it is'] : []),
    ...(celsius === undefined ? ['the temperature it was developed at was not written down'] : []),
  ]
  return lacks.length === 0 ? verdict : atBestMarginal(verdict, `No more than marginal: ${lacks.join(', and ')}.`)

  function byRatio(): Judgement {
    if (ratio < densityLimit.retire)
      return judged({ ...known, verdict: 'failed', rule: 'density-75', reason: `${says}, under 75 %: retire it.` })
    if (ratio <= densityLimit.marginal)
      return judged({
        ...known,
        verdict: 'marginal',
        rule: 'density-90',
        reason: `${says}, between 75 and 90 %: not for anyone’s only negatives.`,
      })
    if (ratio > tooDense)
      return judged({
        ...known,
        verdict: 'marginal',
        rule: 'density-over',
        reason: `${says}, more than a fresh bath gives: too warm, too long, another bottle, or a wrong reference. Repeat it.`,
        againDays: 0,
      })
    return judged({ ...known, verdict: 'keep', rule: 'density-keep', reason: `${says}, over 90 %.` })
  }
}
