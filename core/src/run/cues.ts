import type { PlanStep } from '../process/load'
import type { Agitation } from '../process/step'
import { drainOf, pourOf } from '../process/stepFacts'

export type CueKind = 'pour-in' | 'agitate' | 'tap' | 'vent' | 'rest' | 'pour-out' | 'lamp' | 'turn'

/** What the hands do from `fromS` to `untilS` after the step's pour began. */
export interface Cue {
  kind: CueKind
  fromS: number
  untilS: number
  word: string
}

/** s a tap against bubbles and venting the lid take, the warning before pouring out, and how long before it no beat ends any more. */
const tapS = 2
const ventS = 2
export const getReadyS = 15
const beforePourOutS = 5
/** s of a first agitation that has to follow a longer pour, at the most */
const shortFirstS = 10
/** s an inversion takes */
const inversionS = 2

const agitateWord = ({ inversions }: Agitation): string => (inversions === undefined ? 'Agitate' : `Invert ${inversions} times`)

/** When the beats of a scheme begin and end, s from the pour: beat k at k·c, or at its end; none before the first agitation's tap is over, or ending close to pouring out. */
function beatsOf(agitation: Agitation, { firstEndS, outS }: { firstEndS: number; outS: number }): [number, number][] {
  const { everyS, forS, inversions, at = 'start', closingS = 0 } = agitation
  if (everyS <= 0) return []
  const beatS = inversions === undefined ? forS : inversions * inversionS
  const lastS = outS - Math.max(beforePourOutS, closingS)
  const beats: [number, number][] = []
  for (let k = 1; k * everyS < outS + everyS; k++) {
    const from = k * everyS - (at === 'end' ? beatS : 0)
    if (from >= firstEndS && from + beatS <= lastS) beats.push([from, from + beatS])
  }
  return beats
}

/** Under the lamp: a side after another, each as long. */
function lampCues({ seconds, sides = 1 }: { seconds: number; sides?: number }): Cue[] {
  const eachS = seconds / sides
  return Array.from({ length: sides }, (_, i) => ({
    kind: i === 0 ? ('lamp' as const) : ('turn' as const),
    fromS: i * eachS,
    untilS: (i + 1) * eachS,
    word: sides === 1 ? 'Lamp on' : i === 0 ? 'Lamp on, first side' : 'Turn it over, second side',
  }))
}

/**
 * The cues of one step without gaps, in order; they end with the step. Pouring takes max(6, ml/50) s, draining max(10, ml/50) unless the step says; each agitation ends with
 * a tap, of a bath that gives off gas the lid is vented then. Under the lamp one side comes after the other; in air nothing is poured.
 * @example
 * cuesOf(run.steps[0]).at(-1)?.kind // → 'pour-out'
 */
export function cuesOf(
  step: Pick<PlanStep, 'seconds' | 'agitation'> & Partial<Pick<PlanStep, 'kind' | 'volumeMl' | 'drainS' | 'vents' | 'liquid' | 'sides'>>,
): Cue[] {
  if (step.liquid === 'light') return lampCues(step)
  if (step.liquid === 'air') return [{ kind: 'rest', fromS: 0, untilS: step.seconds, word: 'Rest' }]
  const { agitation, seconds, volumeMl = 0 } = step
  const outS = Math.max(seconds - (step.drainS ?? drainOf(volumeMl)), 0)
  const pouredS = Math.min(pourOf(volumeMl), outS)
  const vents = step.vents ?? step.kind === 'bleach-fix'
  const { closingS = 0 } = agitation
  // where pouring takes longer than the first agitation, that follows the pour
  const firstUntil = agitation.firstS > pouredS ? agitation.firstS : pouredS + Math.min(agitation.firstS, shortFirstS)
  const hasFirst = agitation.firstS > 0
  const closing: [number, number][] = closingS > 0 && outS - closingS > firstUntil ? [[outS - closingS, outS]] : []
  const bursts: [number, number][] = [
    ...(hasFirst ? [[pouredS, firstUntil] as [number, number]] : []),
    ...beatsOf(agitation, { firstEndS: hasFirst ? firstUntil + tapS : pouredS, outS }),
    ...closing,
  ]
  const cues: Cue[] = []
  let reached = 0
  const put = (kind: CueKind, untilS: number, word: string) => {
    const until = Math.min(untilS, outS)
    if (until <= reached) return
    cues.push({ kind, fromS: reached, untilS: until, word })
    reached = until
  }
  put('pour-in', pouredS, 'Pour in')
  for (const [from, until] of bursts) {
    put('rest', from, 'Rest')
    put('agitate', until, agitateWord(agitation))
    put('tap', until + tapS, 'Tap')
    if (vents) put('vent', until + tapS + ventS, 'Vent the lid')
  }
  put('rest', outS, 'Rest')
  if (seconds > outS) cues.push({ kind: 'pour-out', fromS: outS, untilS: seconds, word: 'Pour out' })
  return cues
}
