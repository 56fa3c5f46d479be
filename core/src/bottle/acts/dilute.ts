import { dilute } from '../../dilution/dilute'
import { impossible } from '../../error'
import { together, type Acted, type Decided } from './act'
import { dilutedFrom } from './brought'
import { requireUsable, requireVolume } from './requiring'

export interface AskedDilution {
  newId: string
  parts: number[]
  totalMl: number
  sizeMl: number
  overrule?: string | undefined
}

/**
 * What is written when working strength (ml) is made out of a stock bottle.
 * @throws Refused 'already-diluted', 'not-enough', or the rule that speaks against the bottle
 * @example
 * decideDilution(acted, { newId: 'n', parts: [1, 4], totalMl: 500, sizeMl: 500 }).lines[0].ml // → -100
 */
export function decideDilution(from: Acted, { newId: id, parts, totalMl, sizeMl, overrule }: AskedDilution): Decided {
  const why = requireUsable(from, overrule)
  if (from.parts !== null) throw impossible('already-diluted', `${from.label} is working strength already. Take a stock bottle.`)
  const [concentrateMl = 0] = dilute({ parts, totalMl })
  requireVolume(from, concentrateMl)
  const note = together(`${parts.join('+')} to ${totalMl} ml`, why)
  const brings = dilutedFrom(from.state)
  return {
    lines: [{ bottleId: from.id, kind: 'dilute-out', ml: -concentrateMl, otherBottleId: id, note }],
    made: [{ id, sizeMl, ml: totalMl, parts, ...(brings ? { brings } : {}) }],
  }
}
