import type { Plan } from '../../process/load'
import { arrange } from '../arrange'
import type { PlacedLoad, RotaLoad, RotaPlan, RotaProblem } from '../problem'
import { placeInOrder, type InOrder } from '../search/inOrder'
import { asProblem, planStarts } from './asProblem'
import { bearable } from './bearing'
import type { DarkroomEvening, DarkroomPlan, DecidedLoad } from './evening'
import { recompiled, sameTimes, type Kept } from './recompiled'
import { turnsOf } from './turns'

/** rounds of one search before it is begun anew with the times that its best order gives */
const roundsEach = 100
/** times it is begun anew at the most */
const mostBegun = 10

const better = (a: RotaPlan, b: RotaPlan, weightOf: (load: string) => number): boolean => {
  const out = ({ unplaced }: RotaPlan): number => unplaced.reduce((sum, one) => sum + weightOf(one.load), 0)
  return (out(a) - out(b) || a.lateS - b.lateS || a.endS - b.endS) < 0
}

/** s from the start of a load to its first pour of each of its bottles, without waits. */
const poursOf = (problem: RotaProblem, one: { load: DecidedLoad; plan: Plan }): Map<string, number> => {
  const load = problem.loads.find((each) => each.id === one.load.id) as RotaLoad
  const turns = turnsOf([{ ...one, starts: planStarts(load, one.plan.steps.length, 0, undefined) }])
  return new Map([...turns].map(([bottle, [turn]]) => [bottle, turn?.at ?? 0]))
}

/** Places loads in an order so that nobody pours of a bottle before whoever was before them. */
function placedInTurn(problem: RotaProblem, kept: Kept, order: InOrder[], turns: Map<string, string[]>): RotaPlan {
  const byLoad = new Map(kept.map((one) => [one.load.id, one]))
  return placeInOrder(problem, order, (id, placed) => {
    const one = byLoad.get(id)
    if (!one) return 0
    let from = 0
    for (const [bottle, offset] of poursOf(problem, one)) {
      const mine = turns.get(bottle) ?? []
      for (const earlier of mine.slice(0, Math.max(0, mine.indexOf(id)))) {
        const [starts, other] = [placed.get(earlier), byLoad.get(earlier)]
        if (!starts || !other) continue
        const step = other.plan.steps.findIndex((each) => each.bottle?.id === bottle)
        const oneShot = other.plan.steps[step]?.bottle?.oneShot
        const theirs = oneShot ? (starts[0] ?? 0) : (starts[starts.length - other.plan.steps.length + step] ?? 0)
        from = Math.max(from, theirs + 1 - offset)
      }
    }
    return from
  })
}

/**
 * A plan in which every load has the times of its turn: the one that was found where it is that already, else its loads once more in their order, with the times they have in it.
 * Null where the order does not hold.
 */
function settled(evening: DarkroomEvening, kept: Kept, problem: RotaProblem, found: RotaPlan): Omit<DarkroomPlan, 'left'> | null {
  let [asked, rota] = [problem, found]
  let now = kept
  for (let tries = kept.length + 2; tries > 0; tries--) {
    const next = recompiled(evening, now, rota.placed, asked)
    const becomes = asProblem(evening, next.kept)
    if (sameTimes(asked, becomes, rota.placed)) return { rota, problem: asked, plans: next.plans, tests: next.tests }
    const turns = new Map([...turnsOf(next.timed)].map(([bottle, list]) => [bottle, list.map((turn) => turn.load)]))
    const order = [...rota.placed].sort((a, b) => a.startS - b.startS || (a.load < b.load ? -1 : 1))
    now = next.kept
    asked = becomes
    rota = placedInTurn(asked, now, order, turns)
  }
  return null
}

/** Every load after the one before it: an order that always holds. */
function oneByOne(evening: DarkroomEvening, kept: Kept): Omit<DarkroomPlan, 'left'> {
  const order = [...kept].sort((a, b) => a.load.dueS - b.load.dueS || (a.load.id < b.load.id ? -1 : 1))
  let now = kept
  for (;;) {
    const problem = asProblem(evening, now)
    const lengthOf = new Map(problem.loads.map((load) => [load.id, load.steps.at(-1)?.s ?? 0]))
    const rota = placeInOrder(
      problem,
      order.map(({ load }) => ({ load: load.id, person: 0, bath: problem.baths[0]?.id ?? null })),
      (_, placed) => Math.max(0, ...[...placed].map(([id, starts]) => (starts.at(-1) ?? 0) + (lengthOf.get(id) ?? 0))),
    )
    const next = recompiled(evening, now, rota.placed, problem)
    const becomes = asProblem(evening, next.kept)
    if (sameTimes(problem, becomes, rota.placed)) return { rota, problem, plans: next.plans, tests: next.tests }
    // what found no place does not go through its bottles either
    const there = new Set(rota.placed.map((one) => one.load))
    for (let i = order.length - 1; i >= 0; i--) if (!there.has((order[i] as Kept[number]).load.id)) order.splice(i, 1)
    now = next.kept
  }
}

/**
 * Plans of an evening with this darkroom's bottles, each no worse than the one before. What a load is follows from what went through its bottles before it, and when it can be
 * from what it is: a search is begun with the times of one order, and once more with those its best order gives; what is yielded has every load with the times of its own turn.
 * Loads no bottle bears are left out, with what speaks against them.
 * @example
 * [...arrangeDarkroom({ ...darkroomEvening, loads: [] }, 1)].map((plan) => plan.rota.placed) // → [[]]
 */
export function* arrangeDarkroom(evening: DarkroomEvening, seed: number): Generator<DarkroomPlan, void> {
  const { kept, left } = bearable(evening)
  const weights = new Map(evening.loads.map((load) => [load.id, load.weight]))
  const weightOf = (load: string): number => weights.get(load) ?? 0
  let best = oneByOne(evening, kept)
  let assumed = kept
  let rounds = 0
  for (let begun = 0; ; begun++) {
    const problem = asProblem(evening, assumed)
    let seen: PlacedLoad[] | null = null
    let since = 0
    for (const found of arrange(problem, seed + begun)) {
      if (found.placed !== seen) {
        seen = found.placed
        const made = settled(evening, assumed, problem, found)
        if (made && better(made.rota, best.rota, weightOf)) best = made
      }
      yield { ...best, rota: { ...best.rota, rounds: rounds++ }, left }
      if (++since >= roundsEach && begun < mostBegun && !sameTimes(problem, best.problem, best.rota.placed)) break
    }
    if (begun >= mostBegun || sameTimes(problem, best.problem, best.rota.placed)) return
    assumed = assumed.map((one) => ({ ...one, plan: best.plans[one.load.id] ?? one.plan }))
  }
}
