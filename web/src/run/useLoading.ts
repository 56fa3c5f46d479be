import { loadingOf, type Plan } from '@selvrin/core'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { audio, wake } from '../cue/audio'
import { sayNow } from '../cue/queue'
import { loadWords } from '../cue/voice'
import { useKept } from '../hand/useKept'
import { askedInTheDark, saysFog } from '../light/dark'
import { goDark, light, openFilm } from '../light/light'

/** asked again so soon, it is told what helps, ms */
const againMs = 12_000

/**
 * Loading a tank, from what lies at hand to the closed lid: ticked in the light, then by voice in the dark. Kept for this tab, so that a reload in the middle loses nothing.
 */
export function useLoading(runId: string, plan: Plan) {
  const loading = loadingOf(plan)
  const ticked = ref<string[]>([])
  /** which of the dark steps the hands are at; -1 while the light is on, and not begun */
  const at = ref(-1)
  useKept(`loading ${runId}`, ticked)
  useKept(`loading dark ${runId}`, at)
  const ready = computed(() => loading.before.every((one) => ticked.value.includes(one.key)))
  /** the lid is on: light does nothing any more */
  const closed = computed(() => loading.dark[at.value]?.key === loading.dark.at(-1)?.key)
  const inTheDark = computed(() => at.value >= 0 && !closed.value)

  const toggle = (key: string): void =>
    void (ticked.value = ticked.value.includes(key) ? ticked.value.filter((one) => one !== key) : [...ticked.value, key])
  function tickNext(): void {
    const next = loading.before.find((one) => !ticked.value.includes(one.key))
    if (next) toggle(next.key)
  }

  const say = (keys: string[]) => {
    const context = audio()
    if (context) void loadWords(context, keys).then(() => sayNow(keys))
  }
  const here = () => loading.dark[at.value]?.key ?? ''
  let asked = 0
  let askedAt = 0
  const answer = (done: boolean) => {
    if (done) {
      at.value = Math.min(at.value + 1, loading.dark.length - 1)
      asked = 0
      say([here()])
      return
    }
    asked = performance.now() - askedAt < againMs ? asked + 1 : 0
    askedAt = performance.now()
    const help = loading.trouble[asked - 1]
    say(asked > 0 && help ? [help.key] : [here()])
  }

  /** Sound begins, and its words come. */
  async function begin(): Promise<void> {
    await wake()
    const context = audio()
    if (context) await loadWords(context)
  }

  /** The lights go out, and the screen with them. */
  function lightsOut(): void {
    if (at.value < 0) at.value = 0
    void begin().then(() => say([here()]))
    goDark()
  }
  let stop: (() => void) | null = null
  watch(
    () => light.value === 'dark' && at.value >= 0,
    (dark) => {
      stop?.()
      stop = dark ? askedInTheDark(answer) : null
    },
    { immediate: true },
  )
  const films = [...new Set(plan.films.map((film) => film.format))].join(', ')
  watch(inTheDark, (open) => (openFilm.value = open ? `the open film (${films})` : null), { immediate: true })
  const stopFog = saysFog(() => say(['d-fogs']))
  onScopeDispose(() => {
    stop?.()
    stopFog()
    openFilm.value = null
  })
  const startAgain = (): void => void ([ticked.value, at.value] = [[], -1])
  return { loading, ticked, ready, closed, inTheDark, at, toggle, tickNext, lightsOut, startAgain }
}
