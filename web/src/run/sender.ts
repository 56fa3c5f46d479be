import { pauseMs } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call, CallError } from '../api/call'
import { runLog } from './log'
import { endingsWait } from '../api/waiting'

/** what the server takes in one request */
const mostAtOnce = 200

/** Sends what this device has kept, in its order, as often as it takes: first what happened, then what was written down of runs that are over. */
export function makeSender(told: { late: (run: string, ids: string[]) => void; ended: (run: string) => void }) {
  const waiting = ref(0)
  /** lines the server would not have */
  const refused = ref(0)
  let sending = false
  let again = false
  let retry = 0
  let failed = 0

  async function sendEvents(): Promise<boolean> {
    const { byRun: unsent, sure } = await runLog.unsent()
    let left = [...unsent.values()].reduce((sum, list) => sum + list.length, 0)
    try {
      for (const [id, list] of unsent)
        for (let from = 0; from < list.length; from += mostAtOnce) {
          const events = list.slice(from, from + mostAtOnce)
          const ids = events.map((event) => event.id)
          try {
            const { late } = await call(api.run.record, { params: { id }, body: { events } })
            await runLog.markSent(ids)
            if (late?.length > 0) told.late(id, late)
          } catch (error) {
            if (!(error instanceof CallError) || !error.final) throw error
            // refused for good: it stays in the device's log, is not sent for ever, and is not counted as sent
            await runLog.markRefused(ids)
            refused.value += ids.length
          }
          left -= events.length
        }
    } catch (error) {
      waiting.value = left > 0 ? left : waiting.value
      throw error
    }
    return sure
  }

  async function send(): Promise<void> {
    // asked for in the middle of a try, it is tried once more at its end: the line may have come back meanwhile
    again = sending
    if (sending) return
    sending = true
    clearTimeout(retry)
    try {
      // read first: a page that finds the server away says all the same what waits for it
      const ended = endingsWait() ? await import('./endings') : null
      await ended?.readEndings()
      const sure = await sendEvents()
      for (const [run, body] of ended?.endings.value ?? []) {
        const done = await ended?.sendEnding(run, body).catch(() => undefined)
        if (done === null) throw new Error('The server is away.')
        told.ended(run)
      }
      // a disk that does not answer is asked again; until then nobody says that nothing waits
      if (!sure) throw new Error('The storage of this device does not answer.')
      waiting.value = 0
      failed = 0
    } catch {
      retry = window.setTimeout(() => void send(), pauseMs(failed++, Math.random))
    } finally {
      sending = false
      if (again) void send()
    }
  }
  return { waiting, refused, send }
}
