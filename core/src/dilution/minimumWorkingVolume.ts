import { requireAmounts, requirePositive } from '../error'

/**
 * Millilitres of working solution a load needs: enough to cover it in the vessel (`vesselMl`, what covers this load), and enough to
 * hold the concentrate each roll uses up. Eight rolls at 100 ml of stock each in 1+1 need 1600 ml whatever the tank takes.
 * @example
 * minimumWorkingVolume({ vesselMl: 600, rolls: 8, minConcentrateMlPerRoll: 100, parts: [1, 1] }) // → 1600
 */
export function minimumWorkingVolume(need: { vesselMl: number; rolls: number; minConcentrateMlPerRoll: number; parts: number[] }): number {
  const { vesselMl, rolls, minConcentrateMlPerRoll, parts } = need
  requireAmounts({ 'The vessel’s volume': vesselMl, 'The number of rolls': rolls, 'The concentrate per roll': minConcentrateMlPerRoll })
  requirePositive(Object.fromEntries(parts.map((part, i) => [`Part ${i + 1}`, part])))
  const sum = parts.reduce((total, part) => total + part, 0)
  return Math.max(vesselMl, (rolls * minConcentrateMlPerRoll * sum) / (parts[0] ?? sum))
}
