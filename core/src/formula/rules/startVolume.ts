import { isWaterFree } from '../lines'
import { finding, type Rule } from './rule'

/** mix-1: start with 65–85 % of the final volume, counting the liquids to come, and never with all of it. A concentrate in glycol, or one as it was bought, has no water to start with. */
export const startVolume: Rule = (formula, lines) => {
  if (lines.length === 0 || isWaterFree(formula, lines)) return []
  const liquids = lines.reduce((sum, line) => sum + line.liquidMl, 0)
  if (lines.length === 1 && Math.abs(liquids - formula.finalMl) < 1e-9) return []
  const share = (formula.startMl + liquids) / formula.finalMl
  const percent = `${Math.round(share * 100)} %`
  // three quarters, less what comes as liquid
  const repair = { kind: 'start-volume' as const, startMl: Math.max(0, 0.75 * formula.finalMl - liquids) }
  if (share >= 1 - 1e-9)
    return [
      finding(
        'mix-1',
        'error',
        `Water and liquids make ${percent} of the final volume before the powders are in: start with about 75 %, top up at the end.`,
        undefined,
        repair,
      ),
    ]
  if (share < 0.65 - 1e-9)
    return [
      finding(
        'mix-1',
        'advice',
        `Only ${percent} of the final volume is liquid at the start: with less than 65 % the last chemicals dissolve badly.`,
        undefined,
        repair,
      ),
    ]
  if (share > 0.85 + 1e-9)
    return [
      finding(
        'mix-1',
        'advice',
        `${percent} of the final volume is liquid at the start: above 85 % the powders may carry it over the mark.`,
        undefined,
        repair,
      ),
    ]
  return []
}
