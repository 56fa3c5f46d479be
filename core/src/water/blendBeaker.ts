import { requireAmounts, requireTemperatures } from '../error'
import { blendWater } from './blendWater'

const slack = 1e-9

/**
 * The water of a beaker as so much hot and so much cold, so that with its concentrate, which stands at room temperature, it comes to the wanted temperature. ml, °C;
 * water and dilute solutions weigh and warm alike. Null where neither tap is warm or cold enough for it, and where there is no water in it.
 * @example
 * blendBeaker({ concentrateMl: 150, waterMl: 150, targetC: 20, roomC: 21, hotC: 54, coldC: 12 }) // → { hotMl: 25, coldMl: 125, waterC: 19 }
 */
export function blendBeaker(beaker: {
  concentrateMl: number
  waterMl: number
  targetC: number
  roomC: number
  hotC: number
  coldC: number
}): { hotMl: number; coldMl: number; waterC: number } | null {
  const { concentrateMl, waterMl, targetC, roomC, hotC, coldC } = beaker
  requireAmounts({ 'The concentrate': concentrateMl, 'The water': waterMl })
  requireTemperatures({ 'The temperature': targetC, 'The room': roomC, 'The hot tap': hotC, 'The cold tap': coldC })
  if (waterMl <= slack || hotC - coldC <= slack) return null
  const waterC = targetC + (concentrateMl / waterMl) * (targetC - roomC)
  if (waterC < coldC - slack || waterC > hotC + slack) return null
  return { ...blendWater({ targetMl: waterMl, targetC: Math.min(Math.max(waterC, coldC), hotC), hotC, coldC }), waterC }
}
