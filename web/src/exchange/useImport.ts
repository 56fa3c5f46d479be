import type { ExchangeKind } from '@selvrin/core'
import { importApi, importPortion, type ImportRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { onBeforeUnmount, ref } from 'vue'
import { call } from '../api/call'

export interface Progress {
  words: string
  done: number
  of: number
}

/** ten thousand lines are written in one go */
const longestMs = 600_000

/** Sends rows to be written all or none, in portions, saying how far it is; `stop` ends it before anything is written. */
export function useImport() {
  const progress = ref<Progress | null>(null)
  let sending = false
  let stopped = false

  /** How many lines were written. Throws what the server says, and that nothing was written where it was stopped. */
  async function write(kind: ExchangeKind, rows: ImportRow[]): Promise<number> {
    const id = uuid()
    stopped = false
    sending = true
    try {
      progress.value = { words: 'Sending', done: 0, of: rows.length }
      await call(importApi.begin, { body: { id, kind, rows: rows.length } })
      for (let from = 0; from < rows.length && !stopped; from += importPortion) {
        await call(importApi.stage, { params: { id }, body: { from, rows: rows.slice(from, from + importPortion) } })
        progress.value = { words: 'Sending', done: Math.min(rows.length, from + importPortion), of: rows.length }
      }
      if (stopped) {
        await call(importApi.cancel, { params: { id } })
        throw new Error('Stopped: nothing was written.')
      }
      progress.value = { words: 'Writing', done: rows.length, of: rows.length }
      return (await call(importApi.apply, { params: { id }, waitMs: longestMs })).written
    } finally {
      sending = false
      progress.value = null
    }
  }
  /** Whether there was something to stop. */
  function stop(): boolean {
    stopped = true
    return sending
  }
  onBeforeUnmount(() => (stopped = true))
  return { progress, write, stop }
}
