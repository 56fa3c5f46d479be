import { inOrder, pauseMs, runClock, type RunClock, type RunEvent } from '@selvrin/core'
import { api, type LiveEvent, type LiveRows, type Run } from '@selvrin/core/contract'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef } from 'vue'
import { call, CallError } from '../api/call'
import { onChange } from '../api/live'
import { now } from '../clock'
import { useSession } from '../session/store'
import { deviceName } from './device'
import { keepsNothing, runLog } from './log'

const tickMs = 200
/** what the server takes in one request */
const mostAtOnce = 200

/** Running clocks of the darkroom, from stored start times; what happens here is kept on the device first and sent when the server can be reached. */
export const useClocks = defineStore('clocks', () => {
  const session = useSession()
  const runs = shallowRef(new Map<string, Run>())
  const events = shallowRef(new Map<string, RunEvent[]>())
  const time = ref(now())
  const waiting = ref(0)
  /** lines the server would not have */
  const refused = ref(0)
  let seq = 0
  let sending = false
  let retry = 0
  let failed = 0

  const put = (run: Run) => {
    runs.value = new Map(runs.value).set(run.id, run)
    merge(run.id, run.events)
  }
  function merge(id: string, more: RunEvent[]): void {
    events.value = new Map(events.value).set(id, inOrder([...(events.value.get(id) ?? []), ...more]))
  }

  /** Fetches a run, with what this device has kept of it. */
  async function load(id: string): Promise<Run> {
    const run = await call(api.run.get, { params: { id } })
    put(run)
    merge(id, await runLog.of(id))
    return run
  }
  async function loadRunning(): Promise<void> {
    if (!session.isTechnician) return
    const { rows } = await call(api.run.list, { query: { state: 'running' } })
    await Promise.all(rows.map((row) => load(row.id)))
  }

  const clockOf = (id: string, at = time.value): RunClock | null => {
    const run = runs.value.get(id)
    return run ? runClock(run.plan, events.value.get(id) ?? [], at) : null
  }

  /** Writes down what happens: on the device at once, to the server as soon as it can be. */
  async function note(run: string, part: Pick<RunEvent, 'kind' | 'step'> & Partial<RunEvent>): Promise<void> {
    const event: RunEvent = { id: uuid(), seq: seq++, device: deviceName(), at: Math.round(now()), ...part }
    // the clock shows it at once; a device that keeps nothing sends it from memory
    merge(run, [event])
    time.value = now()
    await runLog.append(run, event)
    void send()
  }

  async function send(): Promise<void> {
    if (sending) return
    sending = true
    clearTimeout(retry)
    let left = 0
    try {
      const { byRun: unsent, sure } = await runLog.unsent()
      left = [...unsent.values()].reduce((sum, list) => sum + list.length, 0)
      for (const [id, list] of unsent)
        for (let from = 0; from < list.length; from += mostAtOnce) {
          const events = list.slice(from, from + mostAtOnce)
          const ids = events.map((event) => event.id)
          try {
            await call(api.run.record, { params: { id }, body: { events } })
            await runLog.markSent(ids)
          } catch (error) {
            if (!(error instanceof CallError) || !error.final) throw error
            // refused for good: it stays in the device's log, is not sent for ever, and is not counted as sent
            await runLog.markRefused(ids)
            refused.value += ids.length
          }
          left -= events.length
        }
      // a disk that does not answer is asked again; until then nobody says that nothing waits
      if (!sure) throw new Error('The storage of this device does not answer.')
      waiting.value = 0
      failed = 0
    } catch {
      waiting.value = left > 0 ? left : waiting.value
      retry = window.setTimeout(() => void send(), pauseMs(failed++, Math.random))
    } finally {
      sending = false
    }
  }

  const running = computed(() =>
    [...runs.value.values()].flatMap((run) => {
      const clock = run.state === 'running' ? clockOf(run.id) : null
      if (!clock || (clock.phase !== 'running' && clock.phase !== 'over')) return []
      return [
        {
          id: run.id,
          vessel: run.plan.vessel.name,
          step: run.plan.steps[clock.step]?.name ?? '',
          remainingS: clock.remainingS,
          over: clock.phase === 'over',
        },
      ]
    }),
  )

  /** What others write down comes with what is told; a run is fetched only where it becomes another: planned, begun, over. */
  function follow({ subject, id, row }: LiveEvent): void {
    if (subject === 'run-event' && row) {
      const { runId, event } = row as LiveRows['run-event']
      if (runs.value.has(runId)) merge(runId, [event])
    }
    if (subject !== 'run') return
    const [known, now] = [runs.value.get(id), row as LiveRows['run'] | null | undefined]
    if (known ? now?.version !== known.version : now?.state === 'running') void load(id).catch(() => undefined)
  }

  let began = false
  /** Starts the tick of what is shown; times are computed from stored starts, so a missed tick loses nothing. */
  function begin(): void {
    if (began) return
    began = true
    useIntervalFn(() => (time.value = now()), tickMs)
    useEventListener(window, 'online', () => void send())
    onChange((event) => {
      if (event === 'all') void Promise.all([send(), loadRunning().catch(() => undefined)])
      else if (session.isTechnician) follow(event)
    })
    void loadRunning().catch(() => undefined)
    void send()
  }
  return { runs, events, time, waiting, refused, keepsNothing, load, put, clockOf, note, send, running, begin }
})
