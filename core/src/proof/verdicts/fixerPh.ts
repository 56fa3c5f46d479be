import { judged, noReference, sources, toThousandth, type Judgement, type Reference } from './judgement'

export type FixerClass = 'alum-hardening' | 'acid' | 'neutral' | 'alkaline'
/** pH by class. Rounded literature values. */
const fixerClasses: Record<FixerClass, [number, number]> = {
  'alum-hardening': [4, 5.5],
  acid: [4, 6],
  neutral: [6, 7.5],
  alkaline: [7.5, 9],
}

/**
 * The class of a fixer by its fresh pH, and whether it hardens: the range it is held against.
 * @example
 * fixerClassOf(5, false) // → 'acid'
 */
export const fixerClassOf = (freshPh: number, hardening: boolean): FixerClass =>
  hardening ? 'alum-hardening' : freshPh < 6 ? 'acid' : freshPh <= 7.5 ? 'neutral' : 'alkaline'

export function fixerPh(ph: number, reference: Reference | null, cls: FixerClass | null): Judgement {
  const range = cls ? fixerClasses[cls] : null
  if (!reference && !range) return judged(noReference(`It reads pH ${ph.toFixed(1)}.`))
  const out = range !== null && (ph < range[0] || ph > range[1])
  const off = reference && reference.from !== 'class' ? toThousandth(Math.abs(ph - reference.value)) : 0
  const says =
    reference && reference.from !== 'class'
      ? `pH ${ph.toFixed(1)} is ${off.toFixed(1)} from the fresh ${reference.value.toFixed(1)}`
      : `pH ${ph.toFixed(1)}`
  const known = { reference: reference?.value ?? null, restsOn: reference ? sources[reference.from] : sources.class }
  if (out)
    return judged({
      ...known,
      verdict: 'marginal',
      rule: 'fixer-class',
      reason: `${says}, outside ${range[0]} to ${range[1]} of ${cls === 'alum-hardening' ? 'an alum-hardening' : `an ${cls}`.replace('an neutral', 'a neutral')} fixer.`,
    })
  if (off > 0.5)
    return judged({ ...known, verdict: 'marginal', rule: 'fixer-ph-0.5', reason: `${says}: it has taken up developer or stop bath.` })
  return judged({ ...known, verdict: 'keep', rule: 'fixer-ph', reason: `${says}.` })
}
