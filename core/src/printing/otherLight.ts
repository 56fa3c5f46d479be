import { startOfDay } from '../calendar/days'
import type { EveningBody } from '../evening/body'
import type { EveningHouse, LoadRun } from '../evening/house'
import { eveningAsIs } from '../evening/require'
import { printingLight, roomFor } from '../evening/room'
import { timesOf } from '../rota/timed'
import type { OtherLight } from './booking'

/**
 * When the room prints are made in has another light in an evening, for film that lies open in it or is put on reels; at a time (ms).
 * @example
 * otherLightIn(eveningOfOne, { house: eveningHouse, runs: [], now: 0 }) // → []
 */
export function otherLightIn(body: EveningBody, { house, runs, now }: { house: EveningHouse; runs: LoadRun[]; now: number }): OtherLight[] {
  const room = roomFor(house.room, 'printing')
  // nothing else is done in it
  if (!room || room.uses.length < 2) return []
  const { problem, rota } = eveningAsIs(body, house, runs, now)
  const midnight = startOfDay(body.opensAt, house.zone)
  return rota.placed.flatMap((placed) => {
    const load = problem.loads.find((one) => one.id === placed.load)
    if (!load) return []
    const { starts } = timesOf(load, placed)
    return load.steps.flatMap(({ light, s }, i): OtherLight[] => {
      if (light?.room !== room.name || light.light === printingLight(house.room)) return []
      const fromAt = midnight + 1000 * (starts[i] ?? 0)
      return [{ fromAt, untilAt: fromAt + 1000 * s, light: light.light }]
    })
  })
}
