import type { RotaPlan, RotaProblem } from './problem'
import { planOf } from './planOf'
import { Decoder } from './search/decode'
import { fixedOf } from './search/pins'
import { reasonFor } from './search/reasons'
import { shapeOf, type Load } from './search/shape'

/** How an evening is planned without searching. */
export const simpleOrders = ['one tank after another', 'first come, first served', 'earliest due'] as const
export type SimpleOrder = (typeof simpleOrders)[number]

/**
 * An evening in one of the orders that come to mind first, every load at the earliest second it can have in it; to measure a search against. One tank after another is one
 * person leading one load at a time.
 * @example
 * simpleOrder(evening, 'earliest due').endS // → 65800
 */
export function simpleOrder(problem: RotaProblem, order: SimpleOrder): RotaPlan {
  const shape = shapeOf(problem)
  const { fixed, failed } = fixedOf(problem, shape)
  const free = shape.loads.map((_, i) => i).filter((i) => !failed.includes(i) && !fixed.some((one) => one.load === i))
  const by = (a: number, b: number): number => {
    const [x, y] = [shape.loads[a] as Load, shape.loads[b] as Load]
    return (order === 'earliest due' ? x.dueS - y.dueS : x.readyS - y.readyS) || a - b
  }
  const decoder = new Decoder(shape, fixed)
  const candidate = {
    ...{ order: shape.breaks.map((_, i) => shape.loads.length + i), person: shape.loads.map(() => 0), bath: shape.loads.map(() => -1) },
    ...{ delay: shape.loads.map(() => 0), lazy: shape.loads.map(() => 0) },
  }
  decoder.decode({ ...candidate, order: [...candidate.order] })
  const endsOf: number[] = shape.away.map(() => 0)
  for (const load of free.sort(by)) {
    const starts = shape.away.map((_, person) => decoder.peek(load, person, -1, order === 'one tank after another' ? endsOf[person] : 0))
    const person = starts.reduce<number>(
      (best, at, i) => (at !== null && (starts[best] == null || at < (starts[best] as number)) ? i : best),
      0,
    )
    candidate.person[load] = person
    decoder.put(load, candidate, order === 'one tank after another' ? endsOf[person] : 0)
    endsOf[person] = Math.max(endsOf[person] as number, decoder.endOf[load] as number)
  }
  return planOf(problem, shape, decoder, (load) => (failed.includes(load) ? 'pin' : reasonFor(problem, shape, load)), 0)
}
