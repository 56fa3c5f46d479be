import { highestNumber, type stepWords } from './words'
import { voiceFiles } from './voiceFiles'
import type { CourseStep } from '@selvrin/core'

const gapS = 0.04
/** ms after which a word that does not come is asked for again the next time: a line that is lost in the middle may never say so */
const comesMs = 8000
const buffers = new Map<string, AudioBuffer>()
const fetched = new Map<string, Promise<void>>()

/** Fetches what is not here yet; what cannot be fetched now is tried again the next time, and is not spoken until then. */
export async function loadWords(context: BaseAudioContext, names: Iterable<string> = Object.keys(voiceFiles)): Promise<void> {
  await Promise.all(
    [...new Set(names)].map((name) => {
      const url = voiceFiles[name]
      if (!url || buffers.has(name)) return undefined
      const coming =
        fetched.get(name) ??
        fetch(url, { signal: AbortSignal.timeout(comesMs) })
          .then((answer) => (answer.ok ? answer.arrayBuffer() : Promise.reject(new Error(name))))
          .then((bytes) => context.decodeAudioData(bytes))
          .then((buffer) => void buffers.set(name, buffer))
          .catch(() => void fetched.delete(name))
      fetched.set(name, coming)
      return coming
    }),
  )
}

/** s that words take to say; 0 where none of them is here. */
export const wordsS = (names: string[]): number =>
  names.reduce((sum, name) => sum + (buffers.has(name) ? (buffers.get(name) as AudioBuffer).duration + gapS : 0), 0)

/** Says words one after another, from `at` s of the audio clock on. Answers what stops them. */
export function playWords(context: AudioContext, at: number, names: string[]): AudioScheduledSourceNode[] {
  let from = at
  return names.flatMap((name) => {
    const buffer = buffers.get(name)
    if (!buffer) return []
    const source = context.createBufferSource()
    source.buffer = buffer
    source.connect(context.destination)
    source.start(from)
    from += buffer.duration + gapS
    return [source]
  })
}

/** A number as it is spoken: as one word, or digit by digit. */
export const numberWords = (n: number): string[] => (n <= highestNumber ? [`n${n}`] : [...String(n)].map((digit) => `n${digit}`))

/** A time as it is spoken, s. */
export function timeWords(seconds: number): string[] {
  const whole = Math.max(0, Math.round(seconds))
  const [minutes, rest] = [Math.floor(whole / 60), whole % 60]
  return [
    ...(minutes > 0 ? [...numberWords(minutes), minutes === 1 ? 'minute' : 'minutes'] : []),
    ...(rest > 0 || minutes === 0 ? [`n${rest}`, rest === 1 ? 'second' : 'seconds'] : []),
  ]
}

/** What a step is called. */
export const stepWord = ({ kind, liquid }: Pick<CourseStep, 'kind' | 'liquid'>): string =>
  `step-${kind === 'pre-wet' && liquid === 'air' ? 'pre-heat' : kind}` satisfies `step-${keyof typeof stepWords}`
