import { api, type Darkroom, type Session } from '@selvrin/core/contract'
import type { Ref } from 'vue'
import { call, CallError } from '../api/call'
import { missed, openLive } from '../api/live'

/** ms after which a server that did not answer is asked again */
const askAgainMs = 5000
const key = 'selvrin.session'
interface Known {
  session: Session
  darkroom: Darkroom
}

/** Keeps who is signed in here, for the time the server cannot be asked; whoever signs out is forgotten with all that is kept. */
export function remember(known: Known): void {
  try {
    localStorage.setItem(key, JSON.stringify(known))
  } catch {
    // a device that keeps nothing has to ask the server
  }
}

function recall(): Known | null {
  try {
    const known = JSON.parse(localStorage.getItem(key) ?? 'null') as Known | null
    return known?.session.person && known.darkroom ? known : null
  } catch {
    return null
  }
}

interface Held {
  session: Ref<Session | null>
  darkroom: Ref<Darkroom | null>
  /** the session is over: whoever comes next signs in again */
  ended: Ref<boolean>
  take: (answer: Session) => Promise<void>
}

/**
 * Goes on as who was signed in here last, and asks the server until it answers who it is.
 * @throws what was thrown, where the server has said no, or nobody is remembered
 */
export function goOnAsBefore(error: unknown, { session, darkroom, ended, take }: Held): void {
  const known = error instanceof CallError && !error.final && error.status !== 401 ? recall() : null
  if (!known) throw error
  session.value = known.session
  darkroom.value = known.darkroom
  // which says that it cannot be heard
  openLive(known.session.person?.id ?? '')
  const later = () => void setTimeout(() => void ask(), askAgainMs)
  async function ask(): Promise<void> {
    const answer = await call(api.session.get).catch(() => null)
    if (answer?.person) await take(answer).then(missed, later)
    else if (answer) ended.value = true
    else later()
  }
  later()
}
