import { timeAtAny } from '../development/chartTime'
import type { Finding, Severity } from '../finding'
import type { Plan, PlanStep } from '../process/load'
import { developsFirst } from '../process/stepFacts'
import { driftEnd, driftProgress, type DriftReading } from '../run/drift'
import { timeAtOf } from '../run/stepTime'
import type { Practised, PractisedStep } from './practised'
import { slowerBy, troublesOf, type Trouble } from './trouble'

/** What it would have done to the film, its marks of 100, and whether nothing would have happened to it. */
export interface PracticeOutcome {
  findings: Finding[]
  score: number
  clean: boolean
}

/** Marks that each fault takes. */
const takes: Record<string, number> = {
  'practice-clear': 100,
  'practice-fogged': 100,
  'practice-unfinished': 100,
  'practice-milky': 45,
  'practice-reticulated': 40,
  'practice-unusable': 50,
  'practice-hard': 35,
  'practice-uneven': 25,
  'practice-muddy': 20,
  'practice-thin': 15,
  'practice-dense': 15,
  'practice-refix': 15,
  'practice-spots': 10,
}
/** s a pour may come late or early before it takes marks, and the marks of each s beyond that, at the most */
const lateS = 3
const marksPerS = 0.5
const mostForTime = 20
/** beats that may be missed one after another; °C two baths may be apart; share of its time a bleach-fix needs; what a missing stop adds to development */
const missedBeats = 3
const jumpC = 10
const bleachedShare = 0.7
const withoutStop = 0.03

const fixing: string[] = ['fix', 'refix']
const makesPicture = (step: PlanStep): boolean => developsFirst(step) || step.kind === 'second-develop'

interface Did {
  step: PlanStep
  done: PractisedStep
  tookS: number
}

/** °C of a bath over its step: it drifts within a minute, and stays there. */
const courseOfBath = (step: PlanStep, drift: Trouble | undefined, tookS: number) =>
  drift?.byC === undefined || drift.atS >= tookS
    ? [
        { s: 0, c: step.temperatureC },
        { s: tookS, c: step.temperatureC },
      ]
    : [
        { s: 0, c: step.temperatureC },
        { s: drift.atS, c: step.temperatureC },
        { s: Math.min(drift.atS + 60, tookS), c: step.temperatureC + (drift.byC * Math.min(60, tookS - drift.atS)) / 60 },
        ...(tookS > drift.atS + 60 ? [{ s: tookS, c: step.temperatureC + drift.byC }] : []),
      ]

/**
 * °C of the bath of a practised step so many s after it was poured.
 * @example
 * practisedC({ temperatureC: 20 }, undefined, 60) // → 20
 */
export function practisedC(step: Pick<PlanStep, 'temperatureC'>, drift: Trouble | undefined, atS: number): number {
  if (drift?.byC === undefined || atS <= drift.atS) return step.temperatureC
  return step.temperatureC + drift.byC * Math.min(1, (atS - drift.atS) / 60)
}

/**
 * s a practised step takes by what was measured in it, as at a real clock: where its time follows the temperature the end moves with it.
 * @example
 * practisedEndS(run, { ...run.steps[0], time: { s: 60 }, seconds: 60 }, [{ s: 10, c: 22 }]) // → 60
 */
export function practisedEndS(plan: Plan, step: PlanStep, measured: DriftReading[]): number {
  const timeAt = timeAtOf(plan, step)
  return timeAt && measured.length > 0 ? driftEnd({ readings: [{ s: 0, c: step.temperatureC }, ...measured], timeAt }) : step.seconds
}

/** Share of its development a film got: by how long, and by how warm the bath was. */
function progressOf(plan: Plan, { step, tookS }: Did, drift: Trouble | undefined): number {
  if (tookS <= 0) return 0
  const timeAt = timeAtOf(plan, step) ?? timeAtAny([{ temperatureC: step.temperatureC, seconds: step.seconds }])
  return driftProgress({ readings: courseOfBath(step, drift, tookS), timeAt })
}

function developmentOf(plan: Plan, did: Did[], troubles: Trouble[]): [string, Severity, string] | null {
  const first = did.findIndex(({ step }) => makesPicture(step))
  const one = did[first]
  if (!one) return null
  const drift = troubles.find((trouble) => trouble.kind === 'drift' && plan.steps[trouble.step] === one.step)
  const planned = plan.steps.some((step) => step.kind === 'stop')
  const stopped = ['stop', 'rinse', 'wash', 'bleach-fix'].includes(did[first + 1]?.step.kind ?? '') || one.step.kind === 'monobath'
  const p = progressOf(plan, one, drift) + (planned && !stopped ? withoutStop : 0)
  const share = `${Math.round(p * 100)} % of its development`
  if (p < 0.7) return ['practice-unusable', 'error', `The film got ${share}: thin, its shadows unusable.`]
  if (p < 0.9) return ['practice-thin', 'warning', `The film got ${share}: thin.`]
  if (p > 1.3) return ['practice-hard', 'error', `The film got ${share}: dense and hard.`]
  return p > 1.1 ? ['practice-dense', 'warning', `The film got ${share}: dense.`] : null
}

/** What the fixer did. In one that failed its test a film clears more slowly. */
function fixingOf(plan: Plan, did: Did[], answers: Practised['answers'], troubles: Trouble[]): [string, Severity, string] | null {
  const [step] = plan.steps.filter(({ kind }) => fixing.includes(kind))
  if (!step) return null
  const failed = troubles.some((one) => one.kind === 'fixer-failed') && answers['fixer-failed'] !== 'other'
  const times = typeof step.time === 'object' && 'clearing' in step.time ? step.time.clearing : 2
  const clearsS = (step.seconds / times) * (failed ? slowerBy : 1)
  const tookS = did.filter((one) => fixing.includes(one.step.kind)).reduce((sum, one) => sum + one.tookS, 0)
  const took = `fixed ${Math.round(tookS)} s where it clears in ${Math.round(clearsS)} s`
  if (tookS < clearsS - 1) return ['practice-milky', 'error', `The film was ${took}: milky.`]
  return tookS < 2 * clearsS - 1 ? ['practice-refix', 'warning', `The film was ${took}, and needs twice that: fix it again.`] : null
}

/** s between two beats at the most, of a step that is agitated now and then. */
function longestRest({ done, tookS, step }: Did): number {
  const beats = [step.agitation.firstS, ...(done.beatsS ?? []).map((at) => at - done.fromS), tookS]
  return Math.max(...beats.slice(1).map((at, i) => at - (beats[i] as number)))
}

/**
 * What a practice would have done to the film, by what was poured when, how long and how warm it was, and what was answered to its troubles.
 * @example
 * outcomeOf(run, { seed: 1, speed: 20, troubles: [], answers: {}, steps: [] }).findings[0].rule // → 'practice-unfinished'
 */
export function outcomeOf(plan: Plan, { seed, troubles: kinds, answers, steps }: Practised): PracticeOutcome {
  const troubles = troublesOf(plan, { seed, kinds })
  const did = steps
    .flatMap((done): Did[] => {
      const step = plan.steps[done.step]
      return step ? [{ step, done, tookS: Math.max(0, done.untilS - done.fromS) }] : []
    })
    .sort((a, b) => a.done.fromS - b.done.fromS)
  const findings: Finding[] = []
  const say = (rule: string, severity: Severity, message: string) => findings.push({ rule, severity, message })
  const at = (is: (step: PlanStep) => boolean) => did.findIndex(({ step }) => is(step))

  const picture = at(makesPicture)
  const fixed = at(({ kind }) => fixing.includes(kind) || kind === 'bleach-fix')
  if (fixed >= 0 && (picture < 0 || fixed < picture) && plan.steps.some(makesPicture))
    say('practice-clear', 'error', 'The fixer came before the developer: the film is clear, there is nothing on it.')
  else if (picture < 0) say('practice-unfinished', 'error', 'The film never met its developer.')
  else {
    const development = developmentOf(plan, did, troubles)
    if (development) say(...development)
    const fixer = fixingOf(plan, did, answers, troubles)
    if (fixer) say(...fixer)
  }
  const exposed = at(({ kind, liquid }) => kind === 're-expose' || liquid === 'light')
  const light = troubles.find((one) => one.kind === 'light')
  const lit = light && answers.light === 'look' ? did.findIndex((one) => one.done.step === light.step) : -1
  if (lit >= 0 && (fixed < 0 || lit <= fixed) && (exposed < 0 || lit < exposed))
    say('practice-fogged', 'error', 'Light came into the tank before the film was fixed: fogged.')
  if (jumped(plan, did)) say('practice-reticulated', 'error', `Two baths were more than ${jumpC} °C apart: the layer is reticulated.`)
  for (const one of did) {
    const { everyS } = one.step.agitation
    if (one.done.beatsS !== null && makesPicture(one.step) && everyS > 0 && longestRest(one) > missedBeats * everyS + everyS)
      say('practice-uneven', 'warning', `${one.step.name} stood still for ${missedBeats} beats and more: uneven.`)
    if (one.step.kind === 'bleach-fix' && one.tookS < bleachedShare * one.step.seconds)
      say('practice-muddy', 'warning', `${one.step.name} had less than ${bleachedShare * 100} % of its time: muddy. It can be done again.`)
  }
  if (picture >= 0 && fixed < 0 && plan.steps.some(({ kind }) => kind === 'bleach-fix'))
    say('practice-muddy', 'error', 'The film never met its bleach-fix: muddy, and not fixed. It can still be done.')
  const stabilised = at(({ kind }) => kind === 'stabilise')
  if (stabilised >= 0 && did.slice(stabilised + 1).some(({ step }) => ['rinse', 'wash'].includes(step.kind)))
    say('practice-spots', 'advice', 'It was rinsed after the stabiliser: spots. Stabilise it again.')
  const clean = findings.length === 0
  const faults = findings.reduce((sum, { rule }) => sum + (takes[rule] ?? 0), 0)
  return { findings, clean, score: Math.max(0, Math.round(100 - faults - marksForTime(did))) }
}

/** Whether the film came from one bath into another that was far colder or warmer, otherwise than the process itself has it. */
function jumped(plan: Plan, did: Did[]): boolean {
  const inLiquid = ({ liquid }: PlanStep) => liquid !== 'air' && liquid !== 'light'
  const planned = plan.steps.filter(inLiquid)
  return did
    .map((one) => one.step)
    .filter(inLiquid)
    .some((step, i, all) => {
      const [before, inPlan] = [all[i - 1], planned[planned.indexOf(step) - 1]]
      const far = (from: PlanStep | undefined) => from !== undefined && Math.abs(step.temperatureC - from.temperatureC) > jumpC
      return far(before) && !far(inPlan)
    })
}

/** Marks for pours that came early or late, on the average of all steps whose time is a time. */
function marksForTime(did: Did[]): number {
  const off = did.slice(0, -1).map(({ tookS, step }) => Math.max(0, Math.abs(tookS - step.seconds) - lateS))
  return off.length === 0 ? 0 : Math.min(mostForTime, (off.reduce((sum, s) => sum + s, 0) / off.length) * marksPerS)
}
