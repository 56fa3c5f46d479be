import { runClock, showTime } from '@selvrin/core'
import { type Wall, wallApi } from '@selvrin/core/contract'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { call, CallError } from '../api/call'
import { isNewer } from '../room/release'

/** it asks by itself even where nothing is told, ms */
const askEveryMs = 20_000
/** and looks whether another release is served, ms */
const releaseEveryMs = 60_000

/** What a screen on the wall shows: it follows what is told, goes on by its own clock while the line is gone, and takes a new release by itself. */
export function useWall(token: string) {
  const wall = shallowRef<Wall | null>(null)
  /** ms by which the house's clock is ahead of this screen's */
  const aheadMs = ref(0)
  const time = ref(Date.now())
  const revoked = ref('')
  /** when it last heard, ms of the house's clock */
  const heardAt = ref(0)
  const lost = ref(false)
  let asking = false
  let again = false
  async function ask(): Promise<void> {
    if (asking) return void (again = true)
    asking = true
    try {
      const answer = await call(wallApi.show, { params: { token } })
      aheadMs.value = answer.now - Date.now()
      heardAt.value = answer.now
      wall.value = answer
      lost.value = false
      revoked.value = ''
    } catch (error) {
      if (error instanceof CallError && error.status === 404) {
        revoked.value = error.message
        wall.value = null
      } else lost.value = true
    }
    asking = false
    if (again) {
      again = false
      void ask()
    }
  }
  let source: EventSource | null = null
  function listen(): void {
    source?.close()
    source = new EventSource(`/api/wall/${encodeURIComponent(token)}/events`)
    source.onopen = () => void ask()
    source.onmessage = () => void ask()
    // a refused stream is not tried again by the browser itself
    source.onerror = () => {
      lost.value = true
      if (source?.readyState === EventSource.CLOSED) setTimeout(listen, 3000)
    }
  }
  listen()
  void ask()
  useIntervalFn(() => void ask(), askEveryMs)
  useIntervalFn(async () => {
    if (await isNewer()) location.reload()
  }, releaseEveryMs)
  useIntervalFn(() => (time.value = Date.now() + aheadMs.value), 250)
  useEventListener(window, 'online', () => void ask())
  onBeforeUnmount(() => source?.close())

  const runs = computed(() =>
    (wall.value?.runs ?? []).map(({ number, vessel, owners, plan, events }) => {
      const clock = runClock(plan, events, time.value)
      const step = clock.course[clock.step]
      const next = clock.course[clock.step + 1]
      return {
        ...{ number, vessel, owners, step: step?.name ?? '', family: step?.family ?? 'other', next: next?.name ?? '' },
        ...{ remains: showTime(Math.abs(Math.ceil(clock.remainingS))), over: clock.remainingS < 0, phase: clock.phase },
      }
    }),
  )
  return { wall, runs, time, revoked, lost, heardAt }
}
