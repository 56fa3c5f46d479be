import { impossibleTemperatures, staysOf } from './checkBath'
import { roomForBreaks, within } from './checkPeople'
import type { PlacedLoad, RotaLoad, RotaProblem } from './problem'
import { crowdedAt, timesOf, type Span, type Timed } from './timed'

/** What stands in the way of a load where it is put, with everything else where it is. Times are s; steps count from 0, its loading first. */
export type InTheWay =
  | { kind: 'ready' | 'opens'; atS: number }
  | { kind: 'closes'; byS: number }
  | { kind: 'vessel-kind'; vessel: string }
  | { kind: 'vessel'; vessel: string; load: string; untilS: number }
  | { kind: 'hands'; person: number; load: string; step: number; mine: number; atS: number; untilS: number }
  | { kind: 'duty'; person: number; atS: number }
  | { kind: 'break'; person: number }
  | { kind: 'bath-places'; bath: string; atS: number }
  | { kind: 'bath-temperature'; bath: string; atS: number; load: string | null }
  | { kind: 'resource'; resource: string; atS: number; loads: string[]; untilS: number }
  | { kind: 'light'; room: string; load: string | null; untilS: number }
  | { kind: 'wait'; step: number }

const over = (a: Span, b: Span): boolean => a.fromS < b.toS && b.fromS < a.toS && a.toS > a.fromS && b.toS > b.fromS

const timedOf = (problem: RotaProblem, placed: PlacedLoad[]): Timed[] =>
  placed.flatMap((one) => {
    const load = problem.loads.find((each) => each.id === one.load)
    return load ? [timesOf(load, one)] : []
  })

/** Each step's own time. */
const spansOf = ({ load, starts }: Timed): (Span & { step: number; of: RotaLoad['steps'][number] })[] =>
  load.steps.map((of, step) => ({ step, of, fromS: starts[step] ?? 0, toS: (starts[step] ?? 0) + of.s }))

/** In which of its steps a load has something in hand at a moment. */
const stepAt = (one: Timed, atS: number): number => spansOf(one).find(({ fromS, toS }) => fromS <= atS && atS < toS)?.step ?? 0

/** The first moment two loads of one person want the same hands. */
function handsMeet(mine: Timed, other: Timed): InTheWay[] {
  for (const a of mine.handsOn)
    for (const b of other.handsOn)
      if (over(a, b)) {
        const atS = Math.max(a.fromS, b.fromS)
        const { person, load } = other.placed
        return [{ kind: 'hands', person, load, step: stepAt(other, b.fromS), mine: stepAt(mine, a.fromS), atS, untilS: b.toS }]
      }
  return []
}

function peopleMeet({ duty = [], breaks = [] }: RotaProblem, mine: Timed, others: Timed[]): InTheWay[] {
  const { person } = mine.placed
  const led = others.filter((one) => one.placed.person === person)
  const on = duty.filter((one) => one.person === person)
  const off = on.length === 0 ? undefined : mine.handsOn.find((span) => span.toS > span.fromS && !within(span, on))
  const rests = breaks.filter((one) => one.person === person)
  return [
    ...led.flatMap((other) => handsMeet(mine, other)),
    ...(off ? [{ kind: 'duty' as const, person, atS: off.fromS }] : []),
    ...(roomForBreaks(rests, [...mine.handsOn, ...led.flatMap((one) => one.handsOn)]) ? [] : [{ kind: 'break' as const, person }]),
  ]
}

function bathMeets({ baths, opensS }: RotaProblem, mine: Timed, others: Timed[]): InTheWay[] {
  const bath = baths.find((one) => one.id === mine.placed.bath)
  if (!bath) return []
  const inIt = others.filter((one) => one.placed.bath === bath.id)
  const all = [mine, ...inIt].map((one) => staysOf(one.load, one.starts))
  const wholes = all.flatMap((stays) => {
    const [first, last] = [stays[0], stays.at(-1)]
    return first && last ? [{ fromS: first.fromS, toS: last.toS }] : []
  })
  const full = crowdedAt(wholes, bath.places)
  const before = new Set(impossibleTemperatures(bath, all.slice(1).flat(), opensS))
  const [atS] = impossibleTemperatures(bath, all.flat(), opensS).filter((at) => !before.has(at))
  // whose stay is nearest to the moment at which it cannot be
  const near = inIt
    .map((one) => ({ load: one.load.id, span: staysOf(one.load, one.starts) }))
    .sort((a, b) => Math.abs((a.span[0]?.fromS ?? 0) - (atS ?? 0)) - Math.abs((b.span[0]?.fromS ?? 0) - (atS ?? 0)))[0]
  return [
    ...(full === null ? [] : [{ kind: 'bath-places' as const, bath: bath.id, atS: full }]),
    ...(atS === undefined ? [] : [{ kind: 'bath-temperature' as const, bath: bath.id, atS, load: near?.load ?? null }]),
  ]
}

function resourcesMeet({ resources = [] }: RotaProblem, mine: Timed, others: Timed[]): InTheWay[] {
  return resources.flatMap(({ id, places }): InTheWay[] => {
    const own = spansOf(mine).filter(({ of }) => of.uses?.includes(id))
    const theirs = others.flatMap((one) =>
      spansOf(one).flatMap((span) => (span.of.uses?.includes(id) ? [{ ...span, load: one.load.id }] : [])),
    )
    for (const span of own) {
      const there = theirs.filter((one) => over(one, span))
      const atS = crowdedAt([span, ...there], places)
      if (atS === null) continue
      return [
        {
          ...{ kind: 'resource' as const, resource: id, atS, loads: [...new Set(there.map((one) => one.load))] },
          untilS: there.length === 0 ? span.toS : Math.min(...there.map((one) => one.toS)),
        },
      ]
    }
    return []
  })
}

function lightMeets({ lit = [] }: RotaProblem, mine: Timed, others: Timed[]): InTheWay[] {
  for (const span of spansOf(mine)) {
    const { light } = span.of
    if (!light) continue
    const clash = (room: string, other: string): boolean => room === light.room && other !== light.light
    const held = lit.find((one) => clash(one.room, one.light) && over(one, span))
    if (held) return [{ kind: 'light', room: light.room, load: null, untilS: held.toS }]
    for (const one of others) {
      const its = spansOf(one).find((each) => each.of.light && clash(each.of.light.room, each.of.light.light) && over(each, span))
      if (its) return [{ kind: 'light', room: light.room, load: one.load.id, untilS: its.toS }]
    }
  }
  return []
}

/**
 * What a load meets where it is put, with all the others where they are; nothing where it can be there. The same rules as `checkEvening`, told of one load and by what it meets.
 * @example
 * meets(evening, [], { load: 'l1', startS: 60_000, vessel: 'tank', bath: 'tub', person: 0 }).map((one) => one.kind) // → ['opens', 'ready']
 */
export function meets(problem: RotaProblem, others: PlacedLoad[], placed: PlacedLoad): InTheWay[] {
  const load = problem.loads.find((one) => one.id === placed.load)
  if (!load) return []
  const mine = timesOf(load, placed)
  const rest = timedOf(
    problem,
    others.filter((one) => one.load !== placed.load),
  )
  const vessel = problem.vessels.find((one) => one.id === placed.vessel)
  const resetS = vessel?.resetS ?? 0
  const taken = rest.filter((one) => one.placed.vessel === placed.vessel)
  const last = problem.closesS - (problem.cleanS ?? 0)
  const waits = placed.waits?.findIndex((wait, i) => wait > (i === 0 ? 0 : (load.steps[i]?.maxWaitS ?? 0))) ?? -1
  return [
    ...(placed.startS < problem.opensS ? [{ kind: 'opens' as const, atS: problem.opensS }] : []),
    ...(placed.startS < load.readyS ? [{ kind: 'ready' as const, atS: load.readyS }] : []),
    ...(mine.endS > last ? [{ kind: 'closes' as const, byS: mine.endS - last }] : []),
    ...(waits >= 0 ? [{ kind: 'wait' as const, step: waits }] : []),
    ...(!vessel || !vessel.kinds.includes(load.kind) || vessel.rolls < load.rolls
      ? [{ kind: 'vessel-kind' as const, vessel: placed.vessel }]
      : []),
    ...taken.flatMap((one): InTheWay[] =>
      over({ fromS: placed.startS, toS: mine.endS + resetS }, { fromS: one.placed.startS, toS: one.endS + resetS })
        ? [{ kind: 'vessel', vessel: placed.vessel, load: one.load.id, untilS: one.endS + resetS }]
        : [],
    ),
    ...peopleMeet(problem, mine, rest),
    ...bathMeets(problem, mine, rest),
    ...resourcesMeet(problem, mine, rest),
    ...lightMeets(problem, mine, rest),
  ]
}

/**
 * Why a load does not begin a second earlier, with everything else where it is; nothing where it could.
 * @example
 * whyNotEarlier(evening, [{ load: 'l1', startS: 64_800, vessel: 'tank', bath: 'tub', person: 0 }], 'l1').map((one) => one.kind) // → ['opens', 'ready']
 */
export function whyNotEarlier(problem: RotaProblem, placed: PlacedLoad[], load: string): InTheWay[] {
  const mine = placed.find((one) => one.load === load)
  return mine ? meets(problem, placed, { ...mine, startS: mine.startS - 1 }) : []
}
