import { fullAt, type Printing } from '../evening/printing'
import type { OtherLight } from './booking'

/** A span of an opening with how many places are free all through it. */
export interface PrintingCell {
  fromAt: number
  untilAt: number
  free: number
  /** the light the room has in it, where it is not that of printing */
  otherLight: string | null
}

/**
 * The spans (so many minutes each, the last may be shorter) of an opening until it is cleaned.
 * @example
 * printingCells({ opensAt: 0, closesAt: 7_200_000 }, { spanMinutes: 30, cleanMinutes: 30, taken: [], places: 2, otherLight: [] }).map((one) => one.free) // → [2, 2, 2]
 */
export function printingCells(
  { opensAt, closesAt }: { opensAt: number; closesAt: number },
  {
    spanMinutes,
    cleanMinutes,
    taken,
    places,
    otherLight,
  }: { spanMinutes: number; cleanMinutes: number; taken: Pick<Printing, 'fromAt' | 'untilAt'>[]; places: number; otherLight: OtherLight[] },
): PrintingCell[] {
  const lastAt = closesAt - cleanMinutes * 60_000
  const cells: PrintingCell[] = []
  for (let fromAt = opensAt; fromAt < lastAt; fromAt += spanMinutes * 60_000) {
    const untilAt = Math.min(lastAt, fromAt + spanMinutes * 60_000)
    const here = taken.filter((one) => one.fromAt < untilAt && fromAt < one.untilAt)
    let free = places
    while (
      free > 0 &&
      fullAt([...here, ...Array.from({ length: free }, () => ({ fromAt, untilAt }))], places, { fromAt, untilAt }) !== null
    )
      free--
    const other = otherLight.find((one) => one.fromAt < untilAt && fromAt < one.untilAt)
    cells.push({ fromAt, untilAt, free, otherLight: other?.light ?? null })
  }
  return cells
}
