import type { Metronome, PrintTry, TimerStep } from '@selvrin/core'

/** What is being counted out, and how far it is: kept by the tab, so that a page that is loaded again goes on where it was. */
export interface KeptTimer {
  plan: PrintTry
  steps: TimerStep[]
  at: number
  /** ms of the page's clock the lamp went on, or goes; null between exposures */
  onAt: number | null
}
const keyOf = (sheetId: string): string => `selvrin.timer.${sheetId}`
const metronomeKey = 'selvrin.metronome'

const from = (store: () => Storage, key: string): string | null => {
  try {
    return store().getItem(key)
  } catch {
    return null
  }
}
const into = (store: () => Storage, key: string, text: string | null): void => {
  try {
    if (text === null) store().removeItem(key)
    else store().setItem(key, text)
  } catch {
    // a browser that keeps nothing counts all the same
  }
}
/** for browsers that keep nothing */
const here = new Map<string, KeptTimer>()

export function keepTimer(sheetId: string, timer: KeptTimer | null): void {
  if (timer === null) here.delete(sheetId)
  else here.set(sheetId, timer)
  into(() => sessionStorage, keyOf(sheetId), timer === null ? null : JSON.stringify(timer))
}
export function keptTimer(sheetId: string): KeptTimer | null {
  const text = from(() => sessionStorage, keyOf(sheetId))
  try {
    return here.get(sheetId) ?? (text === null ? null : (JSON.parse(text) as KeptTimer))
  } catch {
    return null
  }
}

export const keepMetronome = (one: Metronome): void => into(() => localStorage, metronomeKey, one)
export const keptMetronome = (): Metronome => {
  const kept = from(() => localStorage, metronomeKey)
  return kept === 'stops' || kept === 'none' ? kept : 'seconds'
}
