import { pauseMs } from '@selvrin/core'
import { watch } from 'vue'
import { CallError, sentence } from './call'
import { connected } from './live'

/** Whether it is worth asking again: a lost connection, a server in trouble, a session that may be taken up again. */
const mayPass = (error: unknown): boolean => !(error instanceof CallError) || !error.final

/** A pause that grows from try to try, spread so that a house full of tablets does not ask at once; it ends early when the server is heard again, or nobody waits any more. */
const pause = (tries: number, unwanted: AbortSignal): Promise<void> =>
  new Promise((resolve) => {
    const end = () => {
      clearTimeout(timer)
      stop()
      unwanted.removeEventListener('abort', end)
      resolve()
    }
    const timer = setTimeout(end, pauseMs(tries, Math.random))
    const stop = watch(connected, (heard) => heard && end())
    unwanted.addEventListener('abort', end)
  })

/**
 * Tries until it succeeds; each failure is told as a sentence. Ends with the error where asking again would be refused again, and in silence where nobody
 * wants the answer any more.
 */
export async function keepTrying<T>(
  work: (unwanted: AbortSignal) => Promise<T>,
  told: (problem: string) => void,
  unwanted: AbortSignal = new AbortController().signal,
): Promise<T | null> {
  for (let tries = 0; ; tries++) {
    try {
      const answer = await work(unwanted)
      return unwanted.aborted ? null : answer
    } catch (error) {
      if (unwanted.aborted) return null
      told(sentence(error))
      if (!mayPass(error)) throw error
      await pause(tries, unwanted)
      if (unwanted.aborted) return null
    }
  }
}
