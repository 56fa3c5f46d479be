import { planOf } from '../planOf'
import type { RotaLoad, RotaPlan, RotaProblem } from '../problem'
import { Decoder } from './decode'
import { fixedOf } from './pins'
import { reasonFor } from './reasons'
import { shapeOf } from './shape'

/** A load as it is to be placed: by whom, in which bath. */
export interface InOrder {
  load: string
  person: number
  bath: string | null
}

/** Starts of the steps of a load from those of its blocks, s. */
function stepStarts({ steps }: RotaLoad, blockStart: (block: number) => number): number[] {
  let [block, at] = [-1, 0]
  return steps.map((step, i) => {
    if (i === 0 || (step.maxWaitS ?? 0) > 0) at = blockStart(++block)
    const start = at
    at += step.s
    return start
  })
}

/**
 * An evening with its loads placed one after another in an order, each at its earliest second, but none before `notBefore` has it, which is asked with the starts of the steps of
 * what is placed so far. What is not in the order is left out.
 */
export function placeInOrder(
  problem: RotaProblem,
  order: InOrder[],
  notBefore: (load: string, placed: Map<string, number[]>) => number,
): RotaPlan {
  const shape = shapeOf(problem)
  const { fixed, failed } = fixedOf(problem, shape)
  const decoder = new Decoder(shape, fixed)
  const index = new Map(problem.loads.map((load, i) => [load.id, i]))
  const candidate = {
    ...{ order: shape.breaks.map((_, i) => shape.loads.length + i), person: shape.loads.map(() => 0), bath: shape.loads.map(() => -1) },
    ...{ delay: shape.loads.map(() => 0), lazy: shape.loads.map(() => 0) },
  }
  decoder.decode({ ...candidate, order: [...candidate.order] })
  const placed = new Map<string, number[]>()
  const keep = (i: number): void => {
    if ((decoder.placed[i] as number) <= 0) return
    const load = problem.loads[i] as RotaLoad
    const first = decoder.first[i] as number
    placed.set(
      load.id,
      stepStarts(load, (block) => (decoder.starts[first + block] as number) + shape.base),
    )
  }
  for (const one of fixed) keep(one.load)
  for (const { load, person, bath } of order) {
    const i = index.get(load)
    if (i === undefined || failed.includes(i) || fixed.some((one) => one.load === i)) continue
    candidate.person[i] = person
    candidate.bath[i] = bath === null ? -1 : problem.baths.findIndex((one) => one.id === bath)
    decoder.put(i, candidate, notBefore(load, placed) - shape.base)
    keep(i)
  }
  return planOf(problem, shape, decoder, (load) => (failed.includes(load) ? 'pin' : reasonFor(problem, shape, load)), 0)
}
