import type { RotaProblem } from './problem'
import { byTurns } from './search/anneal'
import { Decoder } from './search/decode'
import { fixedOf } from './search/pins'
import { shapeOf } from './search/shape'

/**
 * The ends (s) of the loads that have a place in the plainest plan of an evening, what is due first placed first by the people in turn, by their ids. It is quick: what it places has a place,
 * what it cannot place may still find one in a search.
 * @example
 * firstEnds(evening).get('l1') // → 65800
 */
export function firstEnds(problem: RotaProblem): Map<string, number> {
  const shape = shapeOf(problem)
  const { fixed, failed } = fixedOf(problem, shape)
  const taken = new Set([...failed, ...fixed.map((one) => one.load)])
  const decoder = new Decoder(shape, fixed)
  decoder.decode(
    byTurns(
      shape,
      shape.loads.flatMap((_, i) => (taken.has(i) ? [] : [i])),
    ),
  )
  return new Map(
    problem.loads.flatMap(({ id }, i): [string, number][] =>
      (decoder.placed[i] as number) > 0 ? [[id, (decoder.endOf[i] as number) + shape.base]] : [],
    ),
  )
}
