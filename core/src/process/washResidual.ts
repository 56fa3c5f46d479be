import { DomainError, requireAmounts, requirePositive, requireTemperatures } from '../error'

/** s after which 1/e of what is in the layer is left, in running water of 15 °C or more; film and fibre without aid are fitted to 10⁻⁴ after 10 and 60 min. Rounded literature values. */
const layerS = { film: { plain: 65, aid: 33 }, rc: { plain: 20, aid: 20 }, fibre: { plain: 390, aid: 120 } }
const slowBelowC = 15
const slower = 1.5
const coldestC = 10

type WashedMaterial = keyof typeof layerS
type Fills = { carryMl: number; fillMl: number; fills: number }
type Running = { seconds: number; material: WashedMaterial; aid: boolean; waterC: number }

/**
 * Share of the thiosulfate that a wash leaves: of what was carried in after so many fills (ml), or of what is in the layer after s of running water (°C).
 * @throws DomainError 'outside-range' in water below 10 °C
 * @example
 * washResidual({ carryMl: 15, fillMl: 300, fills: 3 }) // → 0.000108
 * washResidual({ seconds: 600, material: 'film', aid: false, waterC: 20 }) // → 0.0000979
 */
export function washResidual(wash: Fills | Running): number {
  if ('fills' in wash) {
    const { carryMl, fillMl, fills } = wash
    requireAmounts({ 'What is carried in': carryMl, 'The number of fills': fills })
    requirePositive({ 'A fill': fillMl })
    return (carryMl / (carryMl + fillMl)) ** fills
  }
  const { seconds, material, aid, waterC } = wash
  requireAmounts({ 'The time': seconds })
  requireTemperatures({ 'The water': waterC })
  if (waterC < coldestC)
    throw new DomainError(
      'outside-range',
      `Water of ${waterC} °C does not wash: bring it to ${coldestC} °C at least, better to ${slowBelowC}.`,
    )
  const tau = layerS[material][aid ? 'aid' : 'plain'] * (waterC < slowBelowC ? slower : 1)
  return Math.exp(-seconds / tau)
}
