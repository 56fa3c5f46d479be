import { timerCues, type Metronome, type TimerStep } from '@selvrin/core'
import { useIntervalFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, type Ref } from 'vue'
import { sentence } from '../api/call'
import { now } from '../clock'
import { audio, wake } from '../cue/audio'
import { loadWords } from '../cue/voice'
import { saysFog } from '../light/dark'
import { askWords } from './words'
import { hush, say, secondsSaid, sound, type Heard } from './sounds'

export type TimerPhase = 'wait' | 'lead' | 'on' | 'stopped' | 'done'
interface Begun {
  steps: TimerStep[]
  at: number
  onAt: number | null
}
interface Told {
  /** switches the lamp on for s, in so many ms, and off with 0; null where that is done by hand */
  lamp: ((seconds: number, inMs: number) => Promise<unknown>) | null
  metronome: Ref<Metronome>
  spoken: () => boolean
  keep: (now: Begun) => void
}

/** between the press and the light: the hand is at the paper by then, and the lamp is told in time. ms */
const leadMs = 1200
const ms = 1000

/** Counts the exposures of a strip or a print, one after another, each begun by a press. */
export function useTimer(begun: Begun, { lamp, metronome, spoken, keep }: Told) {
  const steps = shallowRef(begun.steps)
  const at = ref(begun.at)
  const onAt = ref(begun.onAt)
  const stoppedS = ref<number | null>(null)
  const time = ref(now())
  const problem = ref('')
  const step = computed(() => steps.value[at.value] ?? null)
  /** s since the lamp went on; below 0 before it */
  const lampS = computed(() => (onAt.value === null ? 0 : (time.value - onAt.value) / ms))
  const lagS = computed(() => (step.value ? step.value.onS - step.value.seconds : 0))
  /** s of light the paper has had */
  const lightS = computed(() => {
    if (stoppedS.value !== null) return stoppedS.value
    return step.value ? Math.min(step.value.seconds, Math.max(0, lampS.value - lagS.value)) : 0
  })
  const phase = computed((): TimerPhase => {
    if (step.value === null) return 'done'
    if (stoppedS.value !== null) return 'stopped'
    return onAt.value === null ? 'wait' : lampS.value < 0 ? 'lead' : 'on'
  })
  const held = computed(() =>
    phase.value === 'on' ? (step.value?.holds.find((one) => lightS.value >= one.fromS && lightS.value < one.toS) ?? null) : null,
  )
  const kept = (): void => keep({ steps: steps.value, at: at.value, onAt: onAt.value })

  function speak(words: string[]): void {
    if (spoken()) say(words)
  }
  const ask = (one: TimerStep): void => speak([...askWords(one), ...secondsSaid(one.seconds)])

  const look = useIntervalFn(() => {
    time.value = now()
    const { value: one } = step
    if (onAt.value === null || !one || lampS.value < one.onS) return
    onAt.value = null
    at.value += 1
    kept()
    if (step.value) ask(step.value)
    else speak(['done'])
  }, 40)

  /** Nothing was given, or not all of it: what was is kept, and the lamp is off. */
  function fail(why: string): void {
    hush()
    problem.value = why
    stoppedS.value = 0
    onAt.value = null
    kept()
    speak(['lamp-failed'])
  }

  /** The voice is there from now on: a browser lets nothing sound before the first press. */
  async function voice(): Promise<void> {
    await wake()
    const context = audio()
    if (context && spoken()) await loadWords(context)
  }
  async function light(one: TimerStep): Promise<void> {
    const turn = at.value
    await voice()
    // a second press while words are fetched begins nothing
    if (onAt.value !== null || at.value !== turn) return
    problem.value = ''
    stoppedS.value = null
    const begins = now() + leadMs
    onAt.value = begins
    time.value = now()
    kept()
    const places = one.holds.map((hold) => hold.name)
    const cues: Heard[] = timerCues(one, metronome.value).map(({ atS, kind, place }) => ({
      ...{ at: begins + atS * ms, kind },
      words: spoken() && kind === 'hold' ? ['hold-back', ...(places.length > 1 ? ['place', `n${1 + places.indexOf(place)}`] : [])] : [],
    }))
    sound([{ at: begins - ms, kind: 'lead', words: [] }, ...cues])
    if (!lamp) return
    try {
      await lamp(one.onS, begins - now())
    } catch (error) {
      if (at.value === turn && onAt.value === begins) fail(sentence(error))
    }
  }

  /** The one thing to press: it gives the next light. While the lamp is on it does nothing. */
  function press(): void {
    const { value: one } = step
    if (!one || phase.value === 'on' || phase.value === 'lead') return
    if (phase.value === 'stopped') rest()
    else void light(one)
  }
  /** What is left of an exposure that was stopped, as one of its own. */
  function rest(): void {
    const { value: one } = step
    const given = stoppedS.value
    if (!one || given === null) return
    const seconds = one.seconds - given
    const holds = one.holds.flatMap((hold) =>
      hold.toS <= given ? [] : [{ ...hold, fromS: Math.max(0, hold.fromS - given), toS: hold.toS - given }],
    )
    steps.value = steps.value.map((each, i) => (i === at.value ? { ...one, seconds, onS: seconds + lagS.value, holds } : each))
    stoppedS.value = null
    void light(steps.value[at.value] as TimerStep)
  }
  /** The lamp off at once. */
  function stop(): void {
    if (onAt.value === null) return
    const given = lightS.value
    hush()
    onAt.value = null
    stoppedS.value = given
    kept()
    speak(['stopped'])
    if (lamp) void lamp(0, 0).catch((error: unknown) => (problem.value = sentence(error)))
  }
  function anew(all: TimerStep[]): void {
    hush()
    ;[steps.value, at.value, onAt.value, stoppedS.value, problem.value] = [all, 0, null, null, '']
    kept()
    if (step.value) ask(step.value)
  }
  /** Says what is to be done now, or how long the light still is. */
  async function tell(): Promise<void> {
    await voice()
    const { value: one } = step
    if (!one) speak(['done'])
    else if (phase.value === 'on' || phase.value === 'lead') speak(secondsSaid(Math.max(1, Math.round(one.seconds - lightS.value))))
    else if (phase.value === 'stopped') speak(['stopped'])
    else ask(one)
  }
  const stopFog = saysFog(() => speak(['fogs-paper']))
  onScopeDispose(() => (look.pause(), hush(), stopFog()))
  return { tell, steps, at, step, phase, lampS, lightS, lagS, held, problem, press, stop, anew }
}
export type TimerView = ReturnType<typeof useTimer>
