import { watchDebounced } from '@vueuse/core'
import { watch } from 'vue'
import { keepPage } from '../offline/keepPage'
import { remember } from '../session/remembered'
import { useSession } from '../session/store'
import { useClocks } from './clocks'
import { keepRuns } from './keptRuns'

/** ms in which what happens is kept together */
const togetherMs = 300

/** Has this device keep the runs that are on and the page they are shown by, so that it can be loaded again while the server is away. Call in a scope that lives as long as the page. */
export function keepClocks(): void {
  const clocks = useClocks()
  watchDebounced(
    [() => clocks.runs, () => clocks.events],
    () => {
      const on = [...clocks.runs.values()].filter((run) => run.state === 'running')
      void keepRuns(on.map((run) => ({ ...run, events: clocks.events.get(run.id) ?? run.events })))
    },
    { debounce: togetherMs, immediate: true },
  )
  const session = useSession()
  watch(
    () => [session.session, session.darkroom] as const,
    ([who, darkroom]) => void (who?.person && darkroom && remember({ session: who, darkroom })),
    { immediate: true },
  )
  // the page of the clock may not have been opened yet
  void Promise.all([import('./RunPage.vue'), import('./ClocksPage.vue')])
    .then(keepPage)
    .catch(() => undefined)
}
