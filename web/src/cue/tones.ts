import { markOf, type Call } from '@selvrin/core'

type Note = [hertz: number, seconds: number]

/** Tones of each cue in turn: told apart by rhythm and pitch, without looking. */
const tones: Record<Call['kind'], Note[]> = {
  'get-ready': [
    [660, 0.12],
    [0, 0.08],
    [660, 0.12],
  ],
  'pour-out': [
    [880, 0.2],
    [660, 0.2],
    [440, 0.35],
  ],
  'pour-in': [
    [440, 0.2],
    [660, 0.2],
    [880, 0.35],
  ],
  agitate: [
    [990, 0.09],
    [0, 0.05],
    [990, 0.09],
    [0, 0.05],
    [990, 0.09],
  ],
  // a long low breath
  vent: [
    [330, 0.4],
    [220, 0.4],
  ],
  tap: [
    [1320, 0.06],
    [0, 0.05],
    [1320, 0.06],
  ],
  rest: [[330, 0.18]],
  check: [
    [550, 0.08],
    [740, 0.08],
    [550, 0.08],
    [740, 0.08],
  ],
  lamp: [
    [523, 0.15],
    [1047, 0.5],
  ],
  turn: [
    [1047, 0.15],
    [523, 0.15],
    [1047, 0.3],
  ],
  open: [
    [392, 0.3],
    [0, 0.1],
    [784, 0.3],
  ],
  over: [
    [880, 0.25],
    [0, 0.1],
    [880, 0.25],
    [0, 0.1],
    [880, 0.5],
  ],
}

/** What a bath sounds like, by its mark: a wave of its own, higher or lower. */
const voices: Record<string, { wave: OscillatorType; ratio: number; gain: number }> = {
  D: { wave: 'sine', ratio: 1, gain: 0.25 },
  S: { wave: 'triangle', ratio: 1.26, gain: 0.25 },
  F: { wave: 'square', ratio: 0.75, gain: 0.08 },
  B: { wave: 'sawtooth', ratio: 0.84, gain: 0.1 },
  C: { wave: 'triangle', ratio: 0.94, gain: 0.25 },
  W: { wave: 'sine', ratio: 0.67, gain: 0.3 },
  T: { wave: 'sawtooth', ratio: 1.12, gain: 0.1 },
  L: { wave: 'square', ratio: 1.12, gain: 0.08 },
  O: { wave: 'triangle', ratio: 0.67, gain: 0.25 },
}

/** s a cue's tones take. */
export const toneS = (kind: Call['kind']): number => tones[kind].reduce((sum, [, seconds]) => sum + seconds, 0)

/** Puts the tones of a cue on the audio clock, to be heard from `at` s on, in the voice of its bath. Answers what stops them. */
export function playTones(context: AudioContext, at: number, kind: Call['kind'], family: string): AudioScheduledSourceNode[] {
  const { wave, ratio, gain: loudness } = voices[markOf(family).letter] as (typeof voices)[string]
  const nodes: AudioScheduledSourceNode[] = []
  let from = at
  for (const [hertz, seconds] of tones[kind]) {
    if (hertz > 0) {
      const tone = context.createOscillator()
      const gain = context.createGain()
      tone.type = wave
      tone.frequency.value = hertz * ratio
      gain.gain.setValueAtTime(loudness, from)
      gain.gain.setTargetAtTime(0, from + seconds * 0.8, 0.02)
      tone.connect(gain).connect(context.destination)
      tone.start(from)
      tone.stop(from + seconds + 0.1)
      nodes.push(tone)
    }
    from += seconds
  }
  return nodes
}
