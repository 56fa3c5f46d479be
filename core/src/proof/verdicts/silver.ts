import { silverNear } from '../limits'
import { judged, noReference, type Judgement } from './judgement'

export function silver(gPerL: number, limit: number | null): Judgement {
  if (limit === null) return judged(noReference(`It holds ${gPerL.toFixed(1)} g/L of silver.`))
  const says = `${gPerL.toFixed(1)} g/L of silver against ${limit} g/L for what it fixes`
  const known = { ratio: gPerL / limit, reference: limit, restsOn: 'the guidance limit for what it fixes' }
  if (gPerL >= limit) return judged({ ...known, verdict: 'failed', rule: 'silver-limit', reason: `${says}: retire it.` })
  if (gPerL >= silverNear * limit)
    return judged({ ...known, verdict: 'marginal', rule: 'silver-near', reason: `${says}: mix the next one.` })
  return judged({ ...known, verdict: 'keep', rule: 'silver-keep', reason: `${says}.` })
}
