import { dayMs, gravest, isLast, mayBeUsed, showVolume } from '@selvrin/core'
import type { Bottle, MixSummary, RunSummary, SupplyRow } from '@selvrin/core/contract'
import { percent, showDate, showRollsLeft } from '../marks/words'

export interface Task {
  key: string
  what: string
  /** for the button */
  short: string
  why: string
  to: string
}

const most = 7
/** A formula that runs out within so many days is to be mixed before. */
const soonDays = 7

/** What wants doing before the doors open, most pressing first. */
export function todoList(bottles: Bottle[], mixes: MixSummary[], runs: RunSummary[], supplies: SupplyRow[] = [], zone = 'UTC'): Task[] {
  const open = mixes.map((mix) => ({
    key: mix.id,
    what: `Finish mixing ${mix.formulaName}`,
    short: 'the mix',
    why: `${showVolume(mix.finalMl)}, begun by ${mix.by}.`,
    to: `/scales/${mix.id}`,
  }))
  const clocks = runs
    .filter((run) => run.state === 'running' || run.state === 'planned')
    .map((run) => ({
      key: run.id,
      what: run.state === 'running' ? `Run ${run.number} is running` : `Develop run ${run.number}`,
      short: `run ${run.number}`,
      why: `${run.films.join(', ')} in ${run.vessel}.`,
      to: `/tanks/${run.id}`,
    }))
  const dead = bottles.flatMap((bottle) => {
    const worst = gravest(bottle)
    return worst
      ? [
          {
            key: bottle.id,
            what: `Retire ${bottle.label}`,
            short: bottle.label,
            why: `${bottle.name}: ${worst.message.split(':')[0] ?? ''}.`.replace('..', '.'),
            to: `/shelf/${bottle.id}`,
          },
        ]
      : []
  })
  const tests = bottles.filter(mayBeUsed).flatMap((bottle) =>
    bottle.due.slice(0, 1).map((due) => ({
      key: `test ${bottle.id}`,
      what: `Test ${bottle.label}`,
      short: `the test of ${bottle.label}`,
      why: `${due.name}: ${due.says}.`,
      to: `/proofs/${due.kind}/${bottle.id}`,
    })),
  )
  return [...clocks, ...open, ...dead, ...mixTasks(bottles, supplies, zone), ...tests].slice(0, most)
}

/** What is to be mixed, the most pressing first: the last bottle of its kind is nearly done, or what is here will not last so many days. */
export function mixTasks(bottles: Bottle[], supplies: SupplyRow[], zone: string, withinDays = soonDays): Task[] {
  const low = bottles
    .filter((bottle) => isLast(bottle, bottles))
    .map((bottle) => ({
      key: `low ${bottle.id}`,
      what: `Mix ${bottle.name}`,
      short: `the ${bottle.name}`,
      why: `${bottle.label}, the last one, has ${percent(bottle.state.remaining)} of its life${bottle.state.rollsLeft === null ? '' : ` and ${showRollsLeft(bottle.state.rollsLeft)}`} left.`,
      to: `/formulary/${bottle.formulaId}`,
    }))
  const named = new Set(low.map((task) => task.to))
  const out = runningOut(supplies, bottles, zone, withinDays).filter((task) => !named.has(task.to))
  return [...low, ...out]
}

/** Formulas whose bottles will not last so many days, at the recent rate and with what is planned. */
function runningOut(supplies: SupplyRow[], bottles: Bottle[], zone: string, withinDays: number): Task[] {
  const now = Math.max(0, ...bottles.map((bottle) => bottle.madeAt + bottle.state.ageDays * dayMs))
  return supplies
    .filter((row) => row.rollsPerDay + row.plannedRolls > 0 && row.runsOutAt !== null && row.runsOutAt - now < (withinDays + 1) * dayMs)
    .sort((a, b) => (a.runsOutAt ?? 0) - (b.runsOutAt ?? 0))
    .map((row) => ({
      key: `supply ${row.formulaId}`,
      what:
        row.rollsLeft > 0
          ? `Mix ${row.name} before ${(row.runsOutAt ?? 0) - now < soonDays * dayMs ? weekday(row.runsOutAt ?? 0, zone) : showDate(row.runsOutAt ?? 0, zone)}`
          : `Mix ${row.name}`,
      short: `the ${row.name}`,
      why:
        row.rollsLeft === 0
          ? `None that can serve is left${row.plannedRolls > 0 ? ', and it is planned with' : ', and it was used in the last four weeks'}.`
          : `${showRollsLeft(row.rollsLeft)} left; on ${showDate(row.runsOutAt ?? 0, zone)} ${row.because === 'age' ? 'the last is too old' : 'it runs out'}.`,
      to: `/formulary/${row.formulaId}`,
    }))
}

const weekday = (at: number, zone: string): string => new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: zone }).format(at)
