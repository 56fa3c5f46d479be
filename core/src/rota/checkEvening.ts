import type { Finding } from '../finding'
import { impossibleTemperatures, staysOf } from './checkBath'
import { roomForBreaks, within } from './checkPeople'
import { unplacedReasons, type PlacedLoad, type RotaLoad, type RotaPlan, type RotaProblem } from './problem'
import { crowdedAt, timesOf, type Timed } from './timed'

const clock = (s: number): string =>
  `${Math.floor(s / 3600)}:${String(Math.floor(s / 60) % 60).padStart(2, '0')}:${String(s % 60).padStart(2, '0')}`

/**
 * What is wrong with a plan of an evening, by the problem alone: every overlap, temperature and sum is worked out anew from where the plan puts its loads. Nothing where it
 * is right.
 * @example
 * checkEvening(evening, { ...arrangeEvening(evening, { seed: 1, rounds: 1 }), placed: [] }).map((finding) => finding.rule) // → ['rota-missing', 'rota-total']
 */
export function checkEvening(problem: RotaProblem, plan: RotaPlan): Finding[] {
  const findings: Finding[] = []
  const say = (rule: string, message: string): void => void findings.push({ rule: `rota-${rule}`, severity: 'error', message })
  const loads = new Map(problem.loads.map((load) => [load.id, load]))
  const timed = namesOf(problem, plan, loads, say)
  const pinned = new Map((problem.pinned ?? []).map((pin) => [pin.load, pin]))

  for (const one of timed) {
    const { load, placed, endS } = one
    const isPinned = pinned.has(load.id)
    if (!isPinned && placed.startS < load.readyS) say('ready', `${load.id} begins at ${clock(placed.startS)}, before it is there.`)
    if (!isPinned && placed.startS < problem.opensS) say('opens', `${load.id} begins at ${clock(placed.startS)}, before opening.`)
    if (endS > problem.closesS - (problem.cleanS ?? 0)) say('closes', `${load.id} ends at ${clock(endS)}, too late for closing.`)
    checkWaits(load, placed, say)
    const vessel = problem.vessels.find((each) => each.id === placed.vessel)
    if (vessel && !vessel.kinds.includes(load.kind)) say('vessel-kind', `${vessel.id} takes no ${load.kind}, as ${load.id} is.`)
    if (vessel && vessel.rolls < load.rolls) say('vessel-size', `${vessel.id} has too few reels for ${load.id}.`)
    if (load.steps.some((step) => step.inBath) === (placed.bath === null))
      say('bath', placed.bath === null ? `${load.id} stands in no bath.` : `${load.id} needs no bath.`)
    checkPin(pinned.get(load.id), load, placed, say)
    for (const id of new Set(load.steps.flatMap((step) => step.uses ?? [])))
      if (!(problem.resources ?? []).some((resource) => resource.id === id)) say('unknown', `${load.id} uses ${id}, which is not there.`)
  }
  checkVessels(problem, timed, say)
  checkPeople(problem, timed, say)
  checkBaths(problem, timed, say)
  for (const { id, places } of problem.resources ?? []) {
    const taken = timed.flatMap(({ load, starts }) =>
      load.steps.flatMap((step, i) => (step.uses?.includes(id) ? [{ fromS: starts[i] ?? 0, toS: (starts[i] ?? 0) + step.s }] : [])),
    )
    const at = crowdedAt(taken, places)
    if (at !== null) say('resource', `${id} has ${places} places; at ${clock(at)} more are taken.`)
  }
  checkLights(problem, timed, say)
  checkSums(problem, plan, timed, say)
  return findings
}

type Say = (rule: string, message: string) => void

/** Everything named is there, and every load once; answers what can be looked at. */
function namesOf(problem: RotaProblem, plan: RotaPlan, loads: Map<string, RotaLoad>, say: Say): Timed[] {
  const seen = new Set<string>()
  for (const { load } of [...plan.placed, ...plan.unplaced]) {
    if (!loads.has(load)) say('unknown', `There is no load ${load}.`)
    if (seen.has(load)) say('twice', `${load} is named twice.`)
    seen.add(load)
  }
  for (const id of loads.keys()) if (!seen.has(id)) say('missing', `${id} is neither placed nor left out.`)
  for (const { load, vessel, bath } of plan.placed) {
    if (!problem.vessels.some((one) => one.id === vessel)) say('unknown', `${load} is in ${vessel}, which is not there.`)
    if (bath !== null && !problem.baths.some((one) => one.id === bath)) say('unknown', `${load} is in ${bath}, which is not there.`)
  }
  return plan.placed.flatMap((placed) => {
    const load = loads.get(placed.load)
    return load ? [timesOf(load, placed)] : []
  })
}

function checkWaits(load: RotaLoad, { waits }: PlacedLoad, say: Say): void {
  if (!waits) return
  if (waits.length !== load.steps.length) return say('wait', `${load.id} has ${waits.length} waits for ${load.steps.length} steps.`)
  if (waits.some((wait, i) => wait < 0 || wait > (i === 0 ? 0 : (load.steps[i]?.maxWaitS ?? 0))))
    say('wait', `${load.id} waits longer than it may.`)
}

function checkPin(pin: NonNullable<RotaProblem['pinned']>[number] | undefined, load: RotaLoad, placed: PlacedLoad, say: Say): void {
  if (!pin) return
  const waits = (said: number[] | undefined) => load.steps.map((_, i) => said?.[i] ?? 0).join()
  const as =
    pin.startS === placed.startS &&
    pin.vessel === placed.vessel &&
    (pin.person === undefined || pin.person === placed.person) &&
    (pin.bath === undefined || pin.bath === placed.bath) &&
    waits(pin.waits) === waits(placed.waits)
  if (!as) say('pin', `${load.id} is placed otherwise than it is fixed.`)
}

function checkVessels(problem: RotaProblem, timed: Timed[], say: Say): void {
  for (const vessel of problem.vessels) {
    const taken = timed
      .filter(({ placed }) => placed.vessel === vessel.id)
      .map(({ placed, endS }) => ({ fromS: placed.startS, toS: endS + vessel.resetS }))
    const at = crowdedAt(taken, 1)
    if (at !== null) say('vessel-overlap', `${vessel.id} is taken already at ${clock(at)}.`)
  }
}

function checkPeople(problem: RotaProblem, timed: Timed[], say: Say): void {
  for (const { load, placed } of timed)
    if (!Number.isInteger(placed.person) || placed.person < 0 || placed.person >= problem.hands)
      say('person', `${load.id} is led by person ${placed.person}, who is not there.`)
  for (let person = 0; person < problem.hands; person++) {
    const handsOn = timed.filter(({ placed }) => placed.person === person).flatMap((one) => one.handsOn)
    const at = crowdedAt(handsOn, 1)
    if (at !== null) say('hands', `Person ${person} has two things in hand at ${clock(at)}.`)
    const duty = (problem.duty ?? []).filter((one) => one.person === person)
    if (duty.length > 0 && handsOn.some((span) => span.toS > span.fromS && !within(span, duty)))
      say('duty', `Person ${person} has something in hand while not on duty.`)
    const breaks = (problem.breaks ?? []).filter((one) => one.person === person)
    if (!roomForBreaks(breaks, handsOn)) say('duty', `Person ${person} has no room for a break.`)
  }
}

function checkBaths(problem: RotaProblem, timed: Timed[], say: Say): void {
  for (const bath of problem.baths) {
    const inIt = timed.filter(({ placed }) => placed.bath === bath.id)
    const places = inIt.flatMap(({ load, starts }) => {
      const stays = staysOf(load, starts)
      const [first, last] = [stays[0], stays.at(-1)]
      return first && last ? [{ fromS: first.fromS, toS: last.toS }] : []
    })
    const full = crowdedAt(places, bath.places)
    if (full !== null) say('bath-places', `${bath.id} has ${bath.places} places; at ${clock(full)} more are taken.`)
    const stays = inIt.flatMap(({ load, starts }) => staysOf(load, starts))
    for (const at of impossibleTemperatures(bath, stays, problem.opensS))
      say('bath-temperature', `${bath.id} cannot be what is asked of it at ${clock(at)}.`)
  }
}

/** A room has one light at a time, whoever needs it. */
function checkLights({ lit = [] }: RotaProblem, timed: Timed[], say: Say): void {
  const needed = timed.flatMap(({ load, starts }) =>
    load.steps.flatMap((step, i) =>
      step.light && step.s > 0 ? [{ ...step.light, fromS: starts[i] ?? 0, toS: (starts[i] ?? 0) + step.s }] : [],
    ),
  )
  const spoken = lit.filter((one) => one.toS > one.fromS)
  needed.forEach((one, i) => {
    const other = [...spoken, ...needed.slice(0, i)].find(
      (each) => each.room === one.room && each.light !== one.light && each.fromS < one.toS && one.fromS < each.toS,
    )
    if (other) say('light', `${one.room} cannot be ${one.light} and ${other.light} at ${clock(Math.max(one.fromS, other.fromS))}.`)
  })
}

/** Whole figures, and the sums they come to. */
function checkSums(problem: RotaProblem, plan: RotaPlan, timed: Timed[], say: Say): void {
  const figures = [plan.lateS, plan.endS, plan.bound.lateS, plan.bound.endS, plan.rounds]
  const parts = plan.placed.flatMap((placed) => [placed.startS, ...(placed.waits ?? [])])
  if (![...figures, ...parts].every(Number.isInteger)) say('total', 'A time or a sum is no whole number of seconds.')
  const reasons: readonly string[] = unplacedReasons
  for (const { load, reason } of plan.unplaced)
    if (!reasons.includes(reason)) say('total', `${load} is left out for no reason that is known.`)
  const lateS = timed.reduce((sum, { load, endS }) => sum + load.weight * Math.max(0, endS - load.dueS), 0)
  if (lateS !== plan.lateS) say('total', `It is ${lateS} s late, weighted, not ${plan.lateS}.`)
  const endS = timed.length === 0 ? problem.opensS : Math.max(...timed.map((one) => one.endS))
  if (endS !== plan.endS) say('total', `It ends at ${clock(endS)}, not at ${clock(plan.endS)}.`)
  if (plan.bound.lateS > plan.lateS || plan.bound.endS > plan.endS) say('bound', 'The bound is above the plan.')
}
