import { audio } from '../cue/audio'

/** Two notes, where the browser may sound: something is due. */
export function ring(): void {
  const context = audio()
  if (!context) return
  for (const [i, hertz] of [660, 880].entries()) {
    const from = context.currentTime + 0.3 * i
    const tone = context.createOscillator()
    const gain = context.createGain()
    tone.frequency.value = hertz
    gain.gain.setValueAtTime(0.25, from)
    gain.gain.setTargetAtTime(0, from + 0.2, 0.02)
    tone.connect(gain).connect(context.destination)
    tone.start(from)
    tone.stop(from + 0.29)
  }
}
