import type { Call } from '@selvrin/core'
import { now } from '../clock'
import { aheadS, audio, heardAt } from './audio'
import { playTones, toneS } from './tones'
import { playWords, wordsS } from './voice'

/** A call of some run, with what is said after its tones. */
export interface Sounded {
  /** the same call has the same name when it is planned anew */
  id: string
  /** ms */
  at: number
  kind: Call['kind']
  /** of the bath it is about: its voice */
  family: string
  words: string[]
}
interface Scheduled {
  id: string
  /** ms, as it was called */
  at: number
  /** s of the audio clock */
  from: number
  /** when its words are said, s of the audio clock */
  saidS: number
  nodes: AudioScheduledSourceNode[]
}

/** What is scheduled ahead, ms: several renewals long, since a hidden page is let run once a minute or less. */
const horizonMs = 300_000
/** what is said later than this after its tones is no help any more, s */
const latestS = 8
const pauseS = 0.08
/** s a call is remembered after it began, so that it is not called twice */
const rememberedS = 30

let scheduled: Scheduled[] = []
/** by how much the audio clock was ahead when that was scheduled, s */
let aheadThen: number | null = null
/** what was asked for is said until then, s of the audio clock: what is scheduled waits for it */
let spokenUntil = 0
let asked: AudioScheduledSourceNode[] = []

/**
 * Replaces what is scheduled by these calls, of all runs together, on the audio clock, so that a busy or a hidden page does not delay them. What sounds already goes on.
 * Tones are heard on their time whatever else sounds; words wait for each other.
 */
export function scheduleAll(calls: Sounded[]): void {
  const context = audio()
  if (!context) {
    scheduled = []
    return
  }
  const { currentTime } = context
  aheadThen = aheadS(context)
  const from = now()
  // what is due by either clock is heard as it was scheduled: it would be called no more
  const begun = (one: Scheduled) => one.from <= currentTime || one.at < from
  for (const one of scheduled) if (!begun(one)) one.nodes.forEach((node) => node.stop())
  scheduled = scheduled.filter((one) => begun(one) && one.from > currentTime - rememberedS)
  const known = new Set(scheduled.map((one) => one.id))
  let voiceFree = Math.max(currentTime, spokenUntil, ...scheduled.map((one) => one.saidS))
  for (const call of [...calls].sort((a, b) => a.at - b.at)) {
    if (call.at < from || call.at >= from + horizonMs || known.has(call.id)) continue
    const at = heardAt(context, call.at)
    const nodes = playTones(context, at, call.kind, call.family)
    const voiceAt = Math.max(at + toneS(call.kind) + pauseS, voiceFree)
    if (call.words.length > 0 && voiceAt - at <= latestS) {
      nodes.push(...playWords(context, voiceAt, call.words))
      voiceFree = voiceAt + wordsS(call.words) + pauseS
    }
    scheduled.push({ id: call.id, at: call.at, from: at, saidS: voiceFree, nodes })
  }
}

/** s by which the audio clock has moved against the page's since everything was scheduled: so much too late, or too early, it would be heard. */
export function slippedS(): number {
  const context = audio()
  return context && aheadThen !== null ? aheadS(context) - aheadThen : 0
}

/** Says something at once, after the tones of a kind where one is given; what was asked for before is cut short. */
function soundNow(words: string[], tones: { kind: Call['kind']; family: string } | null): void {
  const context = audio()
  if (!context) return
  asked.forEach((node) => node.stop())
  const at = context.currentTime + 0.02
  const first = tones ? toneS(tones.kind) + pauseS : 0
  asked = [...(tones ? playTones(context, at, tones.kind, tones.family) : []), ...playWords(context, at + first, words)]
  spokenUntil = context.currentTime + first + wordsS(words)
}
/** Says something at once; what was asked for before is cut short. */
export const sayNow = (words: string[]): void => soundNow(words, null)
/** A call that nobody could plan, as of a clock that runs faster than time. */
export const callNow = (kind: Call['kind'], family: string, words: string[]): void => soundNow(words, { kind, family })
