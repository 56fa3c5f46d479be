import { cuesAhead, type Plan, type RunClock } from '@selvrin/core'
import { ref } from 'vue'
import { now } from '../clock'

type CueKind = ReturnType<typeof cuesAhead>[number]['kind']

/** Tones of each cue as [Hz, s] in turn: told apart by rhythm and pitch, without looking. */
const tones: Record<CueKind, [number, number][]> = {
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
  over: [
    [880, 0.25],
    [0, 0.1],
    [880, 0.25],
    [0, 0.1],
    [880, 0.5],
  ],
}

/** What is scheduled ahead, in ms; it is renewed well before. */
const horizonMs = 120_000
let context: AudioContext | null = null
const scheduled = new Map<string, OscillatorNode[]>()

/** A browser stays silent until it was touched once; this says whether it still is. */
export const silent = ref(true)
const look = () => (silent.value = context === null || context.state !== 'running')

/** Call from a touch or key, the only moments at which a browser lets sound begin. */
export function wake(): void {
  context ??= new AudioContext()
  void context.resume().then(look, look)
  look()
}

export function stopCues(run: string): void {
  for (const node of scheduled.get(run) ?? []) node.stop()
  scheduled.delete(run)
}

/** Replaces everything scheduled of a run by its cues of the next two minutes, on the audio clock, so that a busy page does not delay them. */
export function scheduleCues(run: string, plan: Plan, clock: RunClock): void {
  stopCues(run)
  look()
  const audio = context
  if (!audio || audio.state !== 'running') return
  const nodes: OscillatorNode[] = []
  const from = now()
  for (const cue of cuesAhead(plan, clock).filter((one) => one.at >= from && one.at < from + horizonMs)) {
    let at = audio.currentTime + (cue.at - from) / 1000
    for (const [hertz, seconds] of tones[cue.kind]) {
      if (hertz > 0) {
        const tone = audio.createOscillator()
        const gain = audio.createGain()
        tone.frequency.value = hertz
        gain.gain.setValueAtTime(0.25, at)
        gain.gain.setTargetAtTime(0, at + seconds * 0.8, 0.02)
        tone.connect(gain).connect(audio.destination)
        tone.start(at)
        tone.stop(at + seconds + 0.1)
        nodes.push(tone)
      }
      at += seconds
    }
  }
  scheduled.set(run, nodes)
}
