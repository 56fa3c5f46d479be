import { DomainError, requireAmounts, requireTemperatures } from '../error'

/**
 * ml of hot and of cold water that make `targetMl` at `targetC`: hot share = (target − cold) / (hot − cold), which conserves the heat.
 * 750 ml at 51 °C from taps of 84 and 8 °C is 424 hot and 326 cold. Taps that cannot reach it throw `unreachable-temperature`.
 * @example
 * blendWater({ targetMl: 1000, targetC: 40, hotC: 60, coldC: 10 }) // → { hotMl: 600, coldMl: 400 }
 */
export function blendWater({ targetMl, targetC, hotC, coldC }: { targetMl: number; targetC: number; hotC: number; coldC: number }): {
  hotMl: number
  coldMl: number
} {
  requireAmounts({ 'The volume wanted': targetMl })
  requireTemperatures({ 'The temperature wanted': targetC, 'The hot tap': hotC, 'The cold tap': coldC })
  if (targetC > Math.max(hotC, coldC) || targetC < Math.min(hotC, coldC))
    throw new DomainError(
      'unreachable-temperature',
      `${round(targetC)} °C cannot be mixed from taps of ${round(coldC)} and ${round(hotC)} °C: ${targetC > hotC ? 'heat some of it' : 'cool it in a bath or with ice outside the jug'}.`,
    )
  const share = hotC === coldC ? 0 : (targetC - coldC) / (hotC - coldC)
  return { hotMl: targetMl * share, coldMl: targetMl * (1 - share) }
}

const round = (celsius: number): number => Math.round(celsius * 10) / 10
