import { startOfDay } from '../calendar/days'
import { arrangeUntil } from '../rota/darkroom/arrangeUntil'
import { asPlaced } from '../rota/darkroom/asPlaced'
import type { DarkroomPlan } from '../rota/darkroom/evening'
import { meets } from '../rota/meets'
import type { PlacedLoad } from '../rota/problem'
import type { EveningBody, EveningLoad } from './body'
import { darkroomOf, placedOf, runOf } from './darkroomOf'
import type { EveningHouse, LoadRun } from './house'
import { ordersMoved, withPlaces } from './taken'

interface Asked {
  /** ms */
  now: number
  seed: number
  /** rounds of every try */
  rounds: number
  ended?: () => boolean
  told?: (progress: { tried: number }) => void
}

/**
 * Loads that can stay where they are: they meet nothing that was looked at before them, their bottles bear them, and they do not begin in the past.
 * @example
 * [...stillStanding(eveningOfOne, eveningHouse, [], 0)] // → ['l1']
 */
export function stillStanding(body: EveningBody, house: EveningHouse, runs: LoadRun[], now: number): Set<string> {
  const midnight = startOfDay(body.opensAt, house.zone)
  const open = body.loads.filter((load) => load.place && !runOf(load, runs))
  const places = open.flatMap((load) => placedOf(load.id, load.place as NonNullable<EveningLoad['place']>, body, midnight) ?? [])
  const evening = darkroomOf(body, house, runs, { now })
  const { problem, against, rota } = asPlaced(evening, places)
  const begun = new Set((evening.begun ?? []).map((one) => one.load.id))
  const kept: PlacedLoad[] = rota.placed.filter((one) => begun.has(one.load))
  const stays = new Set<string>()
  // what somebody fixed first, then in their order
  const isFixed = (id: string): boolean => open.some((load) => load.id === id && load.fixed)
  const inOrder = [...rota.placed].sort((a, b) => Number(isFixed(b.load)) - Number(isFixed(a.load)) || a.startS - b.startS)
  for (const one of inOrder) {
    const load = open.find((each) => each.id === one.load)
    if (!load) continue
    const late = load.place !== null && load.place.startAt < now
    if (late || against[one.load] || meets(problem, kept, one).length > 0) continue
    kept.push(one)
    stays.add(one.load)
  }
  return stays
}

const weightLeft = (body: EveningBody, { rota, left }: DarkroomPlan): number => {
  const out = new Set([...rota.unplaced.map((one) => one.load), ...left.map((one) => one.load)])
  return body.loads.reduce((sum, load) => sum + (out.has(load.id) ? load.weight : 0), 0)
}

/** How many who stay are let go at the most, before all are. */
const mostLetGo = 2

/** Which of them may move beside those that have to: nobody, each, each two, then everybody. */
function* letGo(ids: string[]): Generator<Set<string>> {
  yield new Set()
  for (const id of ids) yield new Set([id])
  if (mostLetGo > 1) for (const [i, id] of ids.entries()) for (const other of ids.slice(i + 1)) yield new Set([id, other])
  yield new Set(ids)
}

/**
 * An evening arranged anew with as little change as does the job: as much is placed as could be if everybody might be moved, and then as few people as can be have to be told. What is
 * begun, or fixed, stays.
 * @example
 * rearranged(eveningOfOne, eveningHouse, [], { now: 0, seed: 1, rounds: 2 }).told // → []
 */
export function rearranged(
  body: EveningBody,
  house: EveningHouse,
  runs: LoadRun[],
  { now, seed, rounds, ended = () => false, told = () => undefined }: Asked,
): { plan: DarkroomPlan; body: EveningBody; told: string[] } {
  const stays = stillStanding(body, house, runs, now)
  const tryWith = (free: Set<string>) => {
    const keeps = (load: EveningLoad): boolean => stays.has(load.id) && (load.fixed || !free.has(load.id))
    const evening = { ...darkroomOf(body, house, runs, { now, keeps }), promised: [...stays] }
    const plan = arrangeUntil(evening, { seed, rounds, ended })
    const made = withPlaces(body, plan, house.zone)
    return { plan, body: made, told: ordersMoved(body, made), left: weightLeft(body, plan) }
  }
  type Tried = ReturnType<typeof tryWith>
  const movable = body.loads.filter((load) => stays.has(load.id) && !load.fixed)
  const ids = movable.sort((a, b) => a.orders.length - b.orders.length || (a.id < b.id ? -1 : 1)).map((load) => load.id)
  const all = tryWith(new Set(ids))
  let best: Tried = all
  let tried = 1
  for (const free of letGo(ids)) {
    if (ended()) break
    const made = free.size === ids.length && ids.length > 0 ? all : tryWith(free)
    told({ tried: ++tried })
    const good = made.left <= all.left
    if (
      good &&
      (made.told.length < best.told.length || (made.told.length === best.told.length && made.plan.rota.lateS < best.plan.rota.lateS))
    )
      best = made
    // nobody more has to be let go than those who have to move anyway
    if (good && free.size === 0) break
  }
  return { plan: best.plan, body: best.body, told: best.told }
}
