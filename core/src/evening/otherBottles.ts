import { bearable } from '../rota/darkroom/bearing'
import type { EveningBody } from './body'
import { darkroomOf } from './darkroomOf'
import type { EveningHouse, LoadRun } from './house'
import { rebottled, type WaitingOrder } from './loads'
import { stillStanding } from './rearranged'

/**
 * An evening in which loads their bottles do not bear go into others, where some have enough; whoever has a place keeps their bottles first. The same evening where nothing changes.
 * @example
 * withOtherBottles(eveningOfOne, eveningHouse, [], { orders: [], now: 0 }) === eveningOfOne // → true
 */
export function withOtherBottles(
  body: EveningBody,
  house: EveningHouse,
  runs: LoadRun[],
  { orders, now }: { orders: WaitingOrder[]; now: number },
): EveningBody {
  const promised = [...stillStanding(body, house, runs, now)]
  const { left } = bearable({ ...darkroomOf(body, house, runs, { now }), promised })
  return left.reduce((there, { load: id }) => {
    const load = there.loads.find((one) => one.id === id)
    const made = load && load.overruled === null ? rebottled(load, there, house, orders) : null
    return made ? { ...there, loads: there.loads.map((one) => (one.id === id ? made : one)) } : there
  }, body)
}
