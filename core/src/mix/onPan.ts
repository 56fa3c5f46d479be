import type { MixLine } from './mixState'

/** What a scale's pan adds to a line: nothing is in the jug before it is taken. */
export interface OnPan {
  /** in the jug and on the pan together, in the line's unit */
  shown: number
  /** what lacks to the target; below 0 where it is over */
  toGo: number
  /** more than the band allows, though it can still be taken off */
  over: boolean
  /** what the pan alone has to show for the line to be in its band; null where nothing is weighed now */
  band: { low: number; high: number } | null
}

/**
 * A line with what the pan holds now; `panG` is null where no scale speaks or its weight is not this step's.
 * @example
 * onPan(weighing, 0.05) // → { shown: 1.95, toGo: 0.05, over: false, band: { low: 0.06, high: 0.14 } }
 */
export function onPan(line: MixLine, panG: number | null): OnPan {
  const weighing = line.unit === 'g' && line.state === 'open'
  const shown = line.put + (weighing ? Math.max(panG ?? 0, 0) : 0)
  return {
    shown,
    toGo: line.target - shown,
    over: weighing && panG !== null && shown > line.high,
    band: weighing ? { low: line.low - line.put, high: line.high - line.put } : null,
  }
}

/**
 * Level spoons of what lacks, from the g one spoon of this jar holds, ± 30 %. Null where a spoon will not do: for what is measured in ml, and for
 * developing agents and restrainers.
 * @example
 * levelSpoons(weighing, 0.05) // → null
 */
export const levelSpoons = (line: MixLine, spoonG: number | null): number | null =>
  spoonG !== null && spoonG > 0 && line.unit === 'g' && line.tolerance > 0.02 ? Math.max(line.toGo, 0) / spoonG : null
