import { cuesAhead, type Call, type CourseStep, type RunClock } from '@selvrin/core'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { effectScope, watch } from 'vue'
import { audio, silent, wake } from '../cue/audio'
import { sayNow, scheduleAll, slippedS, type Sounded } from '../cue/queue'
import { loadWords, numberWords, stepWord, timeWords } from '../cue/voice'
import { askedInTheDark, saysFog } from '../light/dark'
import { goDark, openFilm } from '../light/light'
import { useSession } from '../session/store'
import { useClocks } from './clocks'
import { useProbing } from './probing'
import { keepClocks } from './keepClocks'

const renewMs = 60_000
/** how often it is looked whether the two clocks still go together, ms, and what they may be apart, s */
const lookMs = 1000
const apartS = 0.015
/** beats that are heard well enough without a word */
const wordless: Call['kind'][] = ['tap', 'rest']
const pulse = [120, 60, 120]

/** What a call says after its tones. */
function wordsOf({ kind, word, step }: Call, course: CourseStep[]): string[] {
  const spoken = course[step]
  if (wordless.includes(kind)) return []
  if (kind === 'over' && word === 'Done') return ['done']
  return [kind, ...(spoken && (kind === 'get-ready' || kind === 'pour-in') ? [stepWord(spoken)] : [])]
}

/** What is left of a step, as it is spoken. */
function leftWords(clock: RunClock): string[] {
  const step = clock.course[clock.step]
  const name = step ? [stepWord(step)] : []
  if (clock.holding && clock.phase === 'over') return [...name, 'held']
  if (clock.phase === 'over') return [...name, ...timeWords(-clock.remainingS), 'beyond']
  return [...name, ...timeWords(clock.remainingS), 'left']
}

let begun = false
/** The one scheduler of what is heard and felt of all clocks in this browser, and of the dark its steps ask for. */
export function soundClocks(): void {
  if (begun) return
  begun = true
  effectScope(true).run(() => {
    const clocks = useClocks()
    const session = useSession()
    useProbing()
    keepClocks()
    const wanted = () => session.person?.sounds !== false
    const open = () =>
      clocks.running.flatMap(({ id }) => {
        const [run, clock] = [clocks.runs.get(id), clocks.clockOf(id)]
        return run && clock ? [{ run, clock }] : []
      })
    /** of several, each says whose word it is */
    const naming = (number: number, of: number): string[] => (of > 1 ? ['run', ...numberWords(number)] : [])

    function renew(): void {
      const runs = wanted() ? open() : []
      const calls = runs.flatMap(({ run, clock }) =>
        cuesAhead(clock).map((call): Sounded => {
          const words = wordsOf(call, clock.course)
          return {
            ...{ id: `${run.id} ${call.step} ${call.kind} ${Math.round(call.at)}`, at: call.at, kind: call.kind },
            family: clock.course[call.step]?.family ?? 'other',
            words: words.length > 0 ? [...naming(run.number, runs.length), ...words] : [],
          }
        }),
      )
      scheduleAll(calls)
    }
    watch(
      () => [
        silent.value,
        wanted(),
        ...open().map(({ run, clock }) =>
          [run.id, clock.step, clock.times.at(-1)?.plannedS, clock.phase, clock.holding, clock.course.length].join(' '),
        ),
      ],
      renew,
      { immediate: true },
    )
    useIntervalFn(renew, renewMs)
    // a machine that stood still has moved all that is scheduled: it is not waited for the next minute
    useIntervalFn(() => {
      if (Math.abs(slippedS()) > apartS) renew()
    }, lookMs)

    // a voice that is not here yet is fetched before it is needed, and again when the line is back
    const fetchWords = () => {
      const context = audio()
      if (context) void loadWords(context).then(renew)
    }
    watch(silent, fetchWords)
    useEventListener(window, 'online', fetchWords)
    useEventListener(window, ['pointerdown', 'keydown'], () => {
      if (wanted() && clocks.running.length > 0 && silent.value) void wake()
    })

    watch(
      () => open().map(({ run, clock }) => `${run.id} ${clock.step} ${clock.cue?.fromS ?? ''} ${clock.phase}`),
      (now, before) => void (now.some((one) => !before.includes(one)) && navigator.vibrate?.(pulse)),
    )

    // a step in the dark darkens the screen of whoever leads it; nothing lights it up again but a hand
    watch(
      () => open().some(({ run, clock }) => clock.course[clock.step]?.light === 'dark' && clocks.ledBy(run.id) === null),
      (dark, was) => {
        if (dark) {
          openFilm.value = 'the film of this step'
          goDark()
        } else if (was) openFilm.value = null
      },
      { immediate: true },
    )
    const say = () => {
      const runs = open()
      const said = runs.flatMap(({ run, clock }) => [...naming(run.number, runs.length), ...leftWords(clock)])
      void speak(said.length > 0 ? said : ['dark'])
    }
    /** A page that was loaded again in the dark is silent until this key, and its words may not be here yet. */
    async function speak(words: string[]): Promise<void> {
      if (!wanted()) return
      if (silent.value) await wake()
      const context = audio()
      if (!context) return
      await loadWords(context, words)
      sayNow(words)
    }
    saysFog(() => void speak(['d-fogs']))
    // what the key did comes first
    askedInTheDark((done) => void (done ? setTimeout(say) : say()))
  })
}
