import { inOrder, leaderOf, runClock, type RunClock, type RunEvent } from '@selvrin/core'
import { api, type LiveEvent, type LiveRows, type Run } from '@selvrin/core/contract'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call'
import { onChange } from '../api/live'
import { clockDoubt, clockMatters, settleDoubt, now, onClockStep, runIsOn, timeFrom } from '../clock'
import { endingsWait } from '../api/waiting'
import { useSession } from '../session/store'
import { deviceName } from './device'
import { keepsNothing, runLog } from './log'
import { makeSender } from './sender'

const tickMs = 200
type Part = Pick<RunEvent, 'kind' | 'step'> & Partial<RunEvent>

/** Running clocks of the darkroom, from stored start times; what happens here is kept on the device first and sent when the server can be reached. */
export const useClocks = defineStore('clocks', () => {
  const session = useSession()
  const runs = shallowRef(new Map<string, Run>())
  const events = shallowRef(new Map<string, RunEvent[]>())
  const time = ref(now())
  let seq = 0

  const put = (run: Run) => {
    runs.value = new Map(runs.value).set(run.id, run)
    merge(run.id, run.events)
  }
  /** What came later takes the place of the same before; what the server has marked as late stays so. */
  function merge(id: string, more: RunEvent[]): void {
    const known = events.value.get(id) ?? []
    const late = new Set([...known, ...more].filter((event) => event.late).map((event) => event.id))
    const all = inOrder([...known, ...more]).map((event) => (late.has(event.id) ? { ...event, late: true as const } : event))
    events.value = new Map(events.value).set(id, all)
  }
  const markLate = (id: string, ids: string[]): void =>
    merge(
      id,
      (events.value.get(id) ?? []).filter((event) => ids.includes(event.id)).map((event) => ({ ...event, late: true })),
    )

  /** Fetches a run, with what this device has kept of it. */
  async function load(id: string): Promise<Run> {
    const run = await call(api.run.get, { params: { id } }).catch(async (error: unknown) => (await keptInstead(error, id))[0] as Run)
    put(run)
    merge(id, await runLog.of(id))
    return run
  }
  /** A run that is on goes on without the server. */
  async function keptInstead(error: unknown, id?: string): Promise<Run[]> {
    if (!runIsOn() && !endingsWait()) throw error
    return (await import('./keptRuns')).keptInstead(error, id)
  }
  async function loadRunning(): Promise<void> {
    const rows = await call(api.run.list, { query: { state: 'running' } }).then((list) => list.rows, keptInstead)
    await Promise.all(rows.map((row) => load(row.id)))
    clockMatters(running.value.length > 0)
    // no time hangs on it any more: the server's is right
    if (running.value.length === 0 && clockDoubt.value?.other === 'server') settleDoubt(true)
  }

  const clockOf = (id: string, at = time.value): RunClock | null => {
    const run = runs.value.get(id)
    return run ? runClock(run.plan, events.value.get(id) ?? [], at) : null
  }
  /** The device that leads a run, where another one does; null where this one does, or nobody yet. */
  function ledBy(id: string): string | null {
    const leader = leaderOf(events.value.get(id) ?? [])
    return leader === deviceName() ? null : leader
  }

  const { waiting, refused, send } = makeSender({ late: markLate, ended: (id) => void load(id).catch(() => undefined) })

  /** Writes down what happens: on the device at once, to the server as soon as it can be. */
  async function note(run: string, part: Part): Promise<void> {
    const event: RunEvent = { id: uuid(), seq: seq++, device: deviceName(), at: Math.round(now()), ...part }
    // the clock shows it at once; a device that keeps nothing sends it from memory
    merge(run, [event])
    time.value = now()
    await runLog.append(run, event)
    void send()
  }
  /** From now on this device leads the run, and writes it down. */
  const takeOver = (id: string): Promise<void> =>
    note(id, { kind: 'take-over', step: clockOf(id)?.step ?? 0, text: session.person?.name ?? '' })

  const running = computed(() =>
    [...runs.value.values()].flatMap((run) => {
      const clock = run.state === 'running' ? clockOf(run.id) : null
      if (!clock || (clock.phase !== 'running' && clock.phase !== 'over')) return []
      return [
        {
          id: run.id,
          vessel: run.plan.vessel.name,
          step: clock.course[clock.step]?.name ?? '',
          remainingS: clock.remainingS,
          over: clock.phase === 'over',
        },
      ]
    }),
  )
  watch(
    () => running.value.length > 0,
    (any) => clockMatters(any),
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
    timeFrom(async () => (await call(api.session.get)).now)
    // what the clock of this device did is in the record of every run it leads
    onClockStep(({ kind, byMs }) => {
      const text = kind === 'taken' ? 'The clock of the device was set.' : 'The clock of the device jumped; it was not followed.'
      for (const { id } of running.value)
        if (!ledBy(id)) void note(id, { kind: 'clock', step: clockOf(id)?.step ?? 0, seconds: Math.round(byMs / 100) / 10, text })
    })
    useIntervalFn(() => (time.value = now()), tickMs)
    useEventListener(window, 'online', () => void send())
    onChange((event) => {
      if (event === 'all') void Promise.all([send(), loadRunning().catch(() => undefined)])
      else follow(event)
    })
    void loadRunning().catch(() => undefined)
    void send()
  }
  return {
    runs,
    events,
    time,
    waiting,
    refused,
    keepsNothing,
    load,
    put,
    clockOf,
    ledBy,
    note,
    takeOver,
    send,
    running,
    begin,
  }
})
