import { ref } from 'vue'

/**
 * The page's only source of time: ms since 1970 as the server has it, running on the monotonic clock, so that a wall clock that is set does not jump a run. What the
 * monotonic clock cannot tell from a set clock, a sleep of the machine, is decided by the server's clock, and by a person where that cannot be asked.
 */
const slackMs = 4000
/** two clocks that differ by no more are one, ms */
const sameMs = 2000
const key = 'selvrin.clock'

interface Kept {
  /** by how much the page's time is ahead of the wall clock, ms */
  aheadMs: number
  /** a run was on: its times hang on it */
  running: boolean
}
function read(): Kept {
  try {
    return { aheadMs: 0, running: false, ...(JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Kept>) }
  } catch {
    return { aheadMs: 0, running: false }
  }
}
let { aheadMs, running } = read()
function keep(): void {
  try {
    localStorage.setItem(key, JSON.stringify({ aheadMs, running } satisfies Kept))
  } catch {
    // a device that keeps nothing goes by its wall clock after a reload, and by the server's as soon as that answers
  }
}

let wallAtAnchor = Date.now()
const steadyAtAnchor = performance.now()

/** Two clocks disagree while a run is on: `byMs` is how much later the other one has it. */
export interface ClockDoubt {
  byMs: number
  /** the server's clock, or this device's own, which was set or went on while the machine slept */
  other: 'server' | 'wall'
}
export const clockDoubt = ref<ClockDoubt | null>(null)

/** What is told of the page's clock: it was set by so many ms, or a step of the wall clock of so many was ignored. */
export interface ClockStep {
  kind: 'taken' | 'ignored'
  byMs: number
}
const hearers = new Set<(step: ClockStep) => void>()
/** Calls back when the clock was set, or a step of the wall clock was not followed. */
export const onClockStep = (hear: (step: ClockStep) => void): void => void hearers.add(hear)
const tell = (step: ClockStep) => hearers.forEach((hear) => hear(step))

/** How the server is asked what time it has; it may fail. */
let askServer: (() => Promise<number>) | null = null
export const timeFrom = (ask: () => Promise<number>): void => void (askServer = ask)

export function now(): number {
  const steady = wallAtAnchor + (performance.now() - steadyAtAnchor)
  const steppedMs = Date.now() - steady
  if (Math.abs(steppedMs) > slackMs) {
    // the page's time goes on as it was; what the step means is found out
    wallAtAnchor += steppedMs
    aheadMs -= steppedMs
    keep()
    void settle(steppedMs)
  }
  return steady + (Math.abs(steppedMs) > slackMs ? aheadMs + steppedMs : aheadMs)
}

function shift(byMs: number): void {
  aheadMs += byMs
  keep()
  if (Math.abs(byMs) > sameMs) tell({ kind: 'taken', byMs })
}

/** The wall clock went on by more than the monotonic one: the machine slept, or somebody set it. */
async function settle(steppedMs: number): Promise<void> {
  const server = await askServer?.().catch(() => null)
  if (server != null) {
    const byMs = server - now()
    if (Math.abs(byMs) <= sameMs) tell({ kind: 'ignored', byMs: steppedMs })
    // it slept: the server went on meanwhile
    else if (Math.abs(byMs - steppedMs) <= sameMs || !running) shift(byMs)
    else clockDoubt.value = { byMs, other: 'server' }
  } else if (steppedMs < 0) tell({ kind: 'ignored', byMs: steppedMs })
  else if (running) clockDoubt.value = { byMs: steppedMs, other: 'wall' }
  else shift(steppedMs)
}

/** Sets the page's clock by the server's, so that two devices at one run agree; where they are apart while a run is on, a person is asked. */
export function setByServer(serverNow: number): void {
  const byMs = serverNow - now()
  if (Math.abs(byMs) <= sameMs || !running) shift(byMs)
  else clockDoubt.value = { byMs, other: 'server' }
}

/** What a person said of two clocks that disagree: the other one is right, or the page's own as it ran. */
export function settleDoubt(otherIsRight: boolean): void {
  const doubt = clockDoubt.value
  clockDoubt.value = null
  if (!doubt) return
  if (otherIsRight) shift(doubt.byMs)
  else tell({ kind: 'ignored', byMs: doubt.byMs })
}

/** Whether a run was on when this page was closed, or is. */
export const runIsOn = (): boolean => running

/** Whether times of a run hang on this clock. */
export function clockMatters(matters: boolean): void {
  if (matters === running) return
  running = matters
  keep()
}
