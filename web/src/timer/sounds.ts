import type { TimerCue } from '@selvrin/core'
import { audio, heardAt } from '../cue/audio'
import { numberWords, playWords } from '../cue/voice'

type Note = [hertz: number, seconds: number]
/** The lamp's beginning and end are long, a tick is short, a place falls as it is held back and rises as it is let go. */
const tones: Record<TimerCue['kind'] | 'lead', Note[]> = {
  lead: [[550, 0.06]],
  on: [[880, 0.25]],
  tick: [[1320, 0.03]],
  hold: [
    [740, 0.08],
    [490, 0.12],
  ],
  'let-go': [
    [490, 0.08],
    [740, 0.12],
  ],
  off: [[440, 0.4]],
}

/** A cue as it is to be heard: ms of the page's clock, and what is said after it. */
export interface Heard {
  at: number
  kind: TimerCue['kind'] | 'lead'
  words: string[]
}

let nodes: AudioScheduledSourceNode[] = []

/** Nothing more of what was scheduled is heard. */
export function hush(): void {
  nodes.forEach((node) => node.stop())
  nodes = []
}

/** Puts an exposure on the audio clock, whole, before it begins: a busy page delays none of it. */
export function sound(all: Heard[]): void {
  const context = audio()
  if (!context) return
  for (const { at, kind, words } of all) {
    let from = heardAt(context, at)
    if (from < context.currentTime) continue
    for (const [hertz, seconds] of tones[kind]) {
      const tone = context.createOscillator()
      const gain = context.createGain()
      tone.frequency.value = hertz
      gain.gain.setValueAtTime(0.25, from)
      gain.gain.setTargetAtTime(0, from + seconds * 0.8, 0.01)
      tone.connect(gain).connect(context.destination)
      tone.start(from)
      tone.stop(from + seconds + 0.05)
      nodes.push(tone)
      from += seconds
    }
    nodes.push(...playWords(context, from + 0.05, words))
  }
}

/** Says something at once. */
export function say(words: string[]): void {
  const context = audio()
  if (context) nodes.push(...playWords(context, context.currentTime + 0.05, words))
}

/** Seconds as they are spoken, to the tenth: eight point three seconds. */
export function secondsSaid(seconds: number): string[] {
  const tenths = Math.round(seconds * 10)
  const [whole, rest] = [Math.floor(tenths / 10), tenths % 10]
  return [...numberWords(whole), ...(rest > 0 ? ['point', `n${rest}`] : []), tenths === 10 ? 'second' : 'seconds']
}
