import { judged, type Judgement } from './judgement'

export function stopPh(ph: number): Judgement {
  const known = { restsOn: 'the indicator’s range, pH 5.2 to 6.8' }
  if (ph > 6.8)
    return judged({ ...known, verdict: 'failed', rule: 'stop-purple', reason: `pH ${ph.toFixed(1)}: it stops nothing any more.` })
  if (ph >= 5.2)
    return judged({
      ...known,
      verdict: 'marginal',
      rule: 'stop-orange',
      reason: `pH ${ph.toFixed(1)}: replace it before the next run.`,
      againDays: 0,
    })
  return judged({ ...known, verdict: 'keep', rule: 'stop-yellow', reason: `pH ${ph.toFixed(1)}: still acid.` })
}
