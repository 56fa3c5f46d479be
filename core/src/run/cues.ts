import type { Agitation, PlanStep } from '../process/process'

export type CueKind = 'pour-in' | 'agitate' | 'tap' | 'rest' | 'pour-out'

/** What the hands do from `fromS` to `untilS` after the step's pour began. */
export interface Cue {
  kind: CueKind
  fromS: number
  untilS: number
  word: string
}

/** Seconds a pour takes at the most, a tap against bubbles, and the warning before pouring out. */
const pourS = 10
const tapS = 2
export const getReadyS = 15

const agitateWord = (agitation: Agitation): string =>
  agitation.inversions === undefined ? 'Agitate' : `Invert ${agitation.inversions} times`

/**
 * The cues of one step without gaps, in order; they end with the step.
 * @example
 * cuesOf(run.steps[0]).at(-1)?.kind // → 'pour-out'
 */
export function cuesOf(step: Pick<PlanStep, 'seconds' | 'drainS' | 'agitation'>): Cue[] {
  const { agitation, seconds } = step
  const outS = Math.max(seconds - step.drainS, 0)
  const pouredS = Math.min(pourS, outS)
  const bursts: [number, number][] = []
  // counted from the pour's beginning, but a short first agitation still gets its time after the pour
  if (agitation.firstS > 0) bursts.push([pouredS, Math.max(agitation.firstS, pouredS + Math.min(agitation.firstS, pourS))])
  if (agitation.everyS > 0)
    for (let at = agitation.everyS; at < outS; at += agitation.everyS)
      if (at >= (bursts.at(-1)?.[1] ?? pouredS) + tapS) bursts.push([at, at + agitation.forS])
  const cues: Cue[] = [{ kind: 'pour-in', fromS: 0, untilS: pouredS, word: 'Pour in' }]
  let reached = pouredS
  const put = (kind: CueKind, fromS: number, untilS: number, word: string) => {
    const until = Math.min(untilS, outS)
    if (until <= fromS) return
    cues.push({ kind, fromS, untilS: until, word })
    reached = until
  }
  for (const [from, until] of bursts) {
    put('rest', reached, from, 'Rest')
    put('agitate', Math.max(from, reached), until, agitateWord(agitation))
    put('tap', reached, until + tapS, 'Tap')
  }
  put('rest', reached, outS, 'Rest')
  if (seconds > outS) cues.push({ kind: 'pour-out', fromS: outS, untilS: seconds, word: 'Pour out' })
  return cues
}
