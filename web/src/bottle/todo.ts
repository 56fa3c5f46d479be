import { showVolume } from '@selvrin/core'
import type { Bottle, MixSummary, RunSummary } from '@selvrin/core/contract'
import { percent, showRollsLeft } from '../marks/words'

export interface Task {
  key: string
  what: string
  /** for the button */
  short: string
  why: string
  to: string
}

const most = 6

/** What wants doing before the doors open, most pressing first. */
export function todoList(bottles: Bottle[], mixes: MixSummary[], runs: RunSummary[]): Task[] {
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
    const worst = bottle.state.findings.find((finding) => finding.severity === 'error')
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
  const low = bottles
    .filter((bottle) => isLast(bottle, bottles))
    .map((bottle) => ({
      key: `low ${bottle.id}`,
      what: `Mix ${bottle.name.toLowerCase()}`,
      short: `the ${bottle.name.toLowerCase()}`,
      why: `${bottle.label}, the last one, has ${percent(bottle.state.remaining)} of its life${bottle.state.rollsLeft === null ? '' : ` and ${showRollsLeft(bottle.state.rollsLeft)}`} left.`,
      to: `/formulary/${bottle.formulaId}`,
    }))
  return [...clocks, ...open, ...dead, ...low].slice(0, most)
}

/** Share of its life from which on a bottle can be counted on for an evening. */
const enough = 0.35

/** A bottle with little left, and none of the same formula that could take over. */
function isLast(bottle: Bottle, all: Bottle[]): boolean {
  const { remaining } = bottle.state
  return (
    remaining > 0 && remaining < enough && all.every((other) => other.formulaId !== bottle.formulaId || other.state.remaining <= remaining)
  )
}
