import { placeTimes } from './dodgeBurn'
import type { PrintFilter, PrintTry } from './sheet/tries'
import { exposuresOf, lampTimes } from './strip'

/** What is held back of an exposure, in s of its light. */
export interface TimerHold {
  name: string
  fromS: number
  toS: number
}

/** One time the lamp goes on: what is done before it, how long the paper has light, how long the lamp is on for that. */
export interface TimerStep {
  kind: 'whole-strip' | 'cover' | 'bare' | 'patch' | 'sheet' | 'burn'
  /** the place of a burn; how many bands are covered or bare */
  place: string
  count: number
  filter: PrintFilter
  /** of a split grade: 0 the soft exposure, 1 the hard one; null where there is one */
  part: number | null
  seconds: number
  onS: number
  holds: TimerHold[]
}

const kindOf = { cover: 'cover', uncover: 'bare', mask: 'patch' } as const

/** What is held back, one after another from the first second on; what does not fit runs to the end. */
function holdsOf(seconds: number, places: { name: string; stops: number }[]): TimerHold[] {
  let from = 0
  return placeTimes(seconds, places).times.flatMap(({ name, seconds: held, when }) => {
    if (when === 'after' || from >= seconds) return []
    const hold = { name, fromS: from, toS: Math.min(seconds, from + held) }
    from = hold.toS
    return [hold]
  })
}

/**
 * The times the lamp goes on for a strip or a print, one after another, with a lamp’s lag (s) in each.
 * @throws DomainError 'out-of-range'
 * @example
 * timerSteps(aStrip, 0.1).map((one) => one.onS) // → [8.1, 3.4137, 4.7863, 6.7274, 9.4726]
 * timerSteps(aPrint, 0).map((one) => [one.kind, one.place, one.seconds]) // → [['sheet', '', 10], ['burn', 'sky', 4.1421]]
 */
export function timerSteps(plan: PrintTry, lagS: number): TimerStep[] {
  const on = (seconds: number): number => lampTimes([seconds], lagS).onS[0] ?? seconds
  const step = (of: Omit<TimerStep, 'onS' | 'holds' | 'part'> & Partial<TimerStep>): TimerStep => ({
    ...{ part: null, onS: on(of.seconds), holds: [] },
    ...of,
  })
  if (plan.kind === 'strip') {
    const kind = kindOf[plan.way]
    const before = plan.under.map(({ seconds, filter }, part) => step({ kind: 'sheet', place: '', count: 0, filter, seconds, part }))
    const part = plan.under.length > 0 ? plan.under.length : null
    const bands = exposuresOf(plan.steps, plan.bands, plan.way).map((seconds, i) =>
      step({
        kind: plan.way === 'cover' && i === 0 ? 'whole-strip' : kind,
        ...{ place: '', count: plan.way === 'cover' ? i : i + 1, filter: plan.filter, seconds, part },
      }),
    )
    return [...before, ...bands]
  }
  return plan.exposures.flatMap(({ seconds, filter }, i) => {
    const part = plan.exposures.length > 1 ? i : null
    const places = plan.places.filter((one) => one.exposure === i)
    const burns = placeTimes(seconds, places).times.filter((one) => one.when === 'after')
    return [
      step({ kind: 'sheet', place: '', count: 0, filter, seconds, part, holds: holdsOf(seconds, places) }),
      ...burns.map((burn) => step({ kind: 'burn', place: burn.name, count: 0, filter, seconds: burn.seconds, part })),
    ]
  })
}

/** How an exposure is counted out loud. */
export const metronomes = ['seconds', 'stops', 'none'] as const
export type Metronome = (typeof metronomes)[number]

/** What is heard of an exposure, s after the lamp was switched on. */
export interface TimerCue {
  atS: number
  kind: 'on' | 'tick' | 'hold' | 'let-go' | 'off'
  /** of a hold: its place */
  place: string
}

/** counted in stops: thirds of one, from three stops under the whole on */
const [thirds, least] = [3, 9]

function ticksOf(seconds: number, metronome: Metronome): number[] {
  if (metronome === 'none') return []
  if (metronome === 'seconds') return Array.from({ length: Math.max(0, Math.ceil(seconds) - 1) }, (_, i) => i + 1)
  return Array.from({ length: least }, (_, i) => seconds * 2 ** (-(least - i) / thirds))
}

/**
 * What is heard while the lamp is on: its beginning and end, a tick each second of light or each third of a stop, and when a place is held back and let go. The light comes late by
 * the lamp’s lag.
 * @example
 * timerCues(timerSteps(aPrint, 0.1)[0], 'seconds').filter((one) => one.kind === 'tick').length // → 9
 */
export function timerCues(step: TimerStep, metronome: Metronome): TimerCue[] {
  const lagS = step.onS - step.seconds
  const cue = (kind: TimerCue['kind'], atS: number, place = ''): TimerCue => ({ atS, kind, place })
  return [
    cue('on', 0),
    ...ticksOf(step.seconds, metronome).map((s) => cue('tick', lagS + s)),
    ...step.holds.flatMap((one) => [cue('hold', lagS + one.fromS, one.name), cue('let-go', lagS + one.toS, one.name)]),
    cue('off', step.onS),
  ].sort((a, b) => a.atS - b.atS)
}
