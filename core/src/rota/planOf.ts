import { boundOf } from './bounds'
import type { PlacedLoad, RotaLoad, RotaPlan, RotaProblem, UnplacedReason } from './problem'
import type { Decoder } from './search/decode'
import type { Load, Shape } from './search/shape'

/** s before each step, from the starts of the blocks; nothing where there is no wait. */
function waitsOf(load: RotaLoad, { blocks }: Load, starts: number[]): number[] | undefined {
  let block = 0
  const waits = load.steps.map((step, i) => {
    if (i === 0 || (step.maxWaitS ?? 0) === 0) return 0
    block++
    return (starts[block] ?? 0) - (starts[block - 1] ?? 0) - (blocks[block - 1]?.durationS ?? 0)
  })
  return waits.some((wait) => wait > 0) ? waits : undefined
}

/** What a decoder holds, as a plan. */
export function planOf(
  problem: RotaProblem,
  shape: Shape,
  decoder: Decoder,
  reasons: (load: number) => UnplacedReason,
  rounds: number,
): RotaPlan {
  const placed: PlacedLoad[] = []
  const unplaced: RotaPlan['unplaced'] = []
  const there: RotaLoad[] = []
  let lateS = 0
  let endS = problem.opensS
  problem.loads.forEach((load, i) => {
    if ((decoder.placed[i] as number) <= 0) return void unplaced.push({ load: load.id, reason: reasons(i) })
    const one = shape.loads[i] as Load
    const starts = one.blocks.map((_, j) => decoder.starts[(decoder.first[i] as number) + j] as number)
    const waits = waitsOf(load, one, starts)
    const bath = decoder.bathOf[i] as number
    const end = (decoder.endOf[i] as number) + shape.base
    lateS += load.weight * Math.max(0, end - load.dueS)
    endS = there.length === 0 ? end : Math.max(endS, end)
    there.push(load)
    placed.push({
      ...{ load: load.id, startS: (starts[0] ?? 0) + shape.base, vessel: problem.vessels[decoder.vesselOf[i] as number]?.id ?? '' },
      ...{ bath: bath < 0 ? null : (problem.baths[bath]?.id ?? null), person: decoder.personOf[i] as number },
      ...(waits ? { waits } : {}),
    })
  })
  return { placed, unplaced, lateS, endS, bound: boundOf(problem, there), rounds }
}
