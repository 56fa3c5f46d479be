import type { Plan } from '../../process/load'
import { loadCarryMl } from '../../process/loaded'
import type { Tank } from '../../process/shelf'
import { savedFrom } from '../../process/stepFacts'
import { loadOf } from '../loadOf'
import type { RotaLoad, RotaProblem, RotaVessel } from '../problem'
import type { DarkroomEvening, DecidedLoad } from './evening'

/** Whether a load fits is said by its plan: here every vessel takes what was planned for one like it. */
const anyRolls = 1000

/** Vessels with the same of these are like each other: a load has the same plan in each of them. */
export const likeness = ({ kind, format, reels, coversMl, also, carryMl }: Tank): string =>
  JSON.stringify([kind, format ?? '135', reels, coversMl, also ?? [], carryMl])

const vesselsOf = ({ vessels }: DarkroomEvening): RotaVessel[] =>
  vessels.map((vessel) => ({ id: vessel.id, kinds: [likeness(vessel)], rolls: anyRolls, resetS: vessel.resetS }))

/** The resource of a bottle that is poured back: so many loads have its liquid in their tanks at the same time. */
const bottleName = (id: string): string => `bottle ${id}`

/** ml of a bottle that stand in the tank while a step takes them and are poured back after it. */
const lentMl = ({ steps }: Plan, index: number): number => {
  const step = steps[index]
  return step?.bottle && !step.bottle.oneShot && savedFrom(step) === null ? (step.partsMl[0] ?? 0) : 0
}

/** Of each bottle that is poured back, how many loads its liquid is enough for at once, even after all have carried some of it out. */
function bottlePlaces(evening: DarkroomEvening, plans: Plan[]): { id: string; places: number }[] {
  const lent = plans.flatMap((plan) => plan.steps.map((step, i) => ({ id: step.bottle?.id ?? '', ml: lentMl(plan, i), plan })))
  return evening.bottles.flatMap(({ shelf }) => {
    const mine = lent.filter((one) => one.id === shelf.id && one.ml > 0)
    if (mine.length === 0) return []
    const carried = [...new Set(mine.map((one) => one.plan))].reduce((sum, plan) => sum + loadCarryMl(plan), 0)
    const there = shelf.state.volumeMl - (shelf.reserved?.ml ?? 0) - carried
    return [{ id: bottleName(shelf.id), places: Math.max(1, Math.floor(there / Math.max(...mine.map((one) => one.ml)))) }]
  })
}

function plainLoad(evening: DarkroomEvening, { id, request, readyS, dueS, weight, loadingS }: DecidedLoad, plan: Plan): RotaLoad {
  const load = loadOf(plan, { id, readyS, dueS, weight, loadingS, rooms: evening.rooms })
  const vessel = evening.vessels.find((one) => one.id === request.vesselId)
  return { ...load, kind: vessel ? likeness(vessel) : load.kind }
}

function rotaLoad(evening: DarkroomEvening, decided: DecidedLoad, plan: Plan): RotaLoad {
  const load = plainLoad(evening, decided, plan)
  const before = load.steps.length - plan.steps.length
  const steps = load.steps.map((step, i) => {
    const bottle = plan.steps[i - before]?.bottle
    return bottle && lentMl(plan, i - before) > 0 ? { ...step, uses: [...(step.uses ?? []), bottleName(bottle.id)] } : step
  })
  return { ...load, steps }
}

/** The evening as a problem, with every load as its plan is now. */
export function asProblem(evening: DarkroomEvening, decided: { load: DecidedLoad; plan: Plan }[]): RotaProblem {
  const { room, begun = [] } = evening
  return {
    ...room,
    vessels: vesselsOf(evening),
    loads: [
      ...decided.map(({ load, plan }) => rotaLoad(evening, load, plan)),
      // what its bath lends it is not there for the others already
      ...begun.map(({ load, plan, pin }) => plainLoad(evening, { ...load, request: { ...load.request, vesselId: pin.vessel } }, plan)),
    ],
    pinned: [...begun.map((one) => one.pin), ...(room.pinned ?? [])],
    resources: [
      ...(room.resources ?? []),
      ...bottlePlaces(
        evening,
        decided.map(({ plan }) => plan),
      ),
    ],
  }
}

/** Starts of the steps of a placed load's plan, s; its loading is none of them. */
export function planStarts(load: RotaLoad, steps: number, startS: number, waits: number[] | undefined): number[] {
  let at = startS
  const all = load.steps.map((step, i) => {
    const start = at + (waits?.[i] ?? 0)
    at = start + step.s
    return start
  })
  return all.slice(all.length - steps)
}
