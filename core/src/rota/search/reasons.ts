import type { RotaProblem, UnplacedReason } from '../problem'
import { Decoder } from './decode'
import type { Load, Shape } from './shape'

const none = new Int32Array(0)

/** Whether a load has room in an evening of its own, of what it asks only so much being asked. */
function hasRoom(
  shape: Shape,
  index: number,
  change: (block: Load['blocks'][number]) => Partial<Load['blocks'][number]>,
  breaks: boolean,
): boolean {
  const loads = shape.loads.map((load, i) =>
    i === index ? { ...load, blocks: load.blocks.map((block) => ({ ...block, ...change(block) })) } : load,
  )
  const alone: Shape = { ...shape, loads, ...(breaks ? {} : { breaks: [] }) }
  const decoder = new Decoder(alone)
  const order = [...alone.breaks.map((_, i) => loads.length + i), index]
  return Array.from({ length: shape.people }, (_, person) => person).some((person) => {
    decoder.decode({
      ...{
        order: [...order],
        person: loads.map(() => person),
        bath: loads.map(() => -1),
        delay: loads.map(() => 0),
        lazy: loads.map(() => 0),
      },
    })
    return (decoder.placed[index] as number) > 0
  })
}

/** Why a load has no place: the first that forbids it in an otherwise empty evening, without what is fixed, else that the evening is full. */
export function reasonFor(problem: RotaProblem, shape: Shape, index: number): UnplacedReason {
  const load = shape.loads[index] as Load
  if (load.readyS + load.wholeS > shape.endsS) return 'ready'
  if (load.vessels.length === 0) return 'vessel'
  if (load.stays.length > 0 && problem.baths.length === 0) return 'bath'
  if (
    !hasRoom(
      { ...shape, people: Math.max(1, shape.people), away: shape.away.map(() => []) },
      index,
      () => ({ hands: none, uses: none }),
      false,
    )
  )
    return 'bath'
  if (!hasRoom({ ...shape, people: Math.max(1, shape.people), away: shape.away.map(() => []) }, index, () => ({ hands: none }), false))
    return 'resource'
  return hasRoom(shape, index, () => ({}), true) ? 'full' : 'hands'
}
