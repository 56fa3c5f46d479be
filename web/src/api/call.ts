import type { Endpoint, Problem } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import type { z } from 'zod'

/** A request that was refused or did not get through; the message is a sentence for people. */
export class CallError extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.message)
  }
  /** the same request would be refused again: not a lost connection, a server in trouble, a limit or a session that ended */
  get final(): boolean {
    return this.status >= 400 && this.status < 500 && this.status !== 401 && this.status !== 429
  }
  get offline(): boolean {
    return this.status === 0
  }
}

interface Parts<E extends Endpoint> {
  params?: z.input<E['params']>
  query?: z.input<E['query']>
  body?: z.input<E['body']>
  /** a file that goes along, where the endpoint takes one */
  file?: Blob
  /** told how much of a file is sent, as a share of 1 */
  sent?: (share: number) => void
  /** nobody wants the answer any more; what was sent may still be done */
  signal?: AbortSignal
  /** ms after which an answer is not waited for any longer */
  waitMs?: number
}

/** A read is soon there or never; a write may wait for others, a file for a slow line. ms */
const usualWaitMs = { read: 20_000, write: 60_000, file: 180_000 }

/** Keys of writes whose answer never came: the same write tried again counts once. */
const openKeys = new Map<string, string>()
const offline = new CallError(0, {
  code: 'offline',
  message: 'The connection to the darkroom’s server is lost. What you typed is still here: try again when it is back.',
})

const slow = (waitMs: number) =>
  new CallError(0, {
    code: 'slow',
    message: `The darkroom’s server has not answered for ${Math.round(waitMs / 1000)} s. What you typed is still here: try again; the same try counts once.`,
  })

let signedOut: () => void = () => undefined
/** What to do when the server no longer knows who we are. */
export const onSignedOut = (handler: () => void): void => {
  signedOut = handler
}

function formOf(text: string, file: Blob): FormData {
  const form = new FormData()
  form.set('body', text)
  form.set('file', file)
  return form
}

/** Fetches with an end: lost, cancelled or not answered in time, it throws; the answer is read whole. */
async function fetched(
  url: string,
  options: RequestInit,
  waitMs: number,
  { signal: unwanted, sent }: Pick<Parts<Endpoint>, 'signal' | 'sent'>,
): Promise<{ response: Response; answer: unknown }> {
  const ending = new AbortController()
  const stop = () => ending.abort()
  const timer = setTimeout(() => ending.abort('slow'), waitMs)
  unwanted?.addEventListener('abort', stop)
  try {
    unwanted?.throwIfAborted()
    const by = sent ? (await import('./upload')).sendTelling(sent) : fetch
    const response = await by(url, { ...options, signal: ending.signal })
    const answer: unknown = await response.json().catch((error: unknown) => {
      // an answer that breaks off in the middle is none
      if (error instanceof SyntaxError) return null
      throw error
    })
    return { response, answer }
  } catch {
    unwanted?.throwIfAborted()
    throw ending.signal.reason === 'slow' ? slow(waitMs) : offline
  } finally {
    clearTimeout(timer)
    unwanted?.removeEventListener('abort', stop)
  }
}

/** Calls a route of the contract; refusals and lost connections throw a CallError, one nobody waits for any more the signal’s reason. */
export async function call<E extends Endpoint>(
  endpoint: E,
  { params, query, body, file, sent, signal, waitMs }: Parts<E> = {},
): Promise<z.output<E['response']>> {
  const path = endpoint.path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(String((params as Record<string, unknown> | undefined)?.[name])),
  )
  const search = new URLSearchParams(
    Object.entries((query ?? {}) as Record<string, unknown>).map(([key, value]) => [key, String(value)]),
  ).toString()
  const url = search === '' ? path : `${path}?${search}`
  const write = endpoint.method !== 'GET'
  const text = write ? JSON.stringify(body ?? {}) : undefined
  const what = `${endpoint.method} ${url} ${text ?? ''} ${file ? `${file.size} ${file.type}` : ''}`
  if (write && !openKeys.has(what)) openKeys.set(what, uuid())
  const options: RequestInit = {
    method: endpoint.method,
    credentials: 'same-origin',
    ...(write
      ? {
          headers: { ...(file ? {} : { 'content-type': 'application/json' }), 'idempotency-key': openKeys.get(what) ?? uuid() },
          body: file ? formOf(text as string, file) : (text as string),
        }
      : {}),
  }
  const { response, answer } = await fetched(url, options, waitMs ?? usualWaitMs[file ? 'file' : write ? 'write' : 'read'], {
    signal,
    sent: file && sent,
  })
  openKeys.delete(what)
  if (response.ok) return answer as z.output<E['response']>
  if (response.status === 401 && endpoint.access !== 'public') signedOut()
  throw new CallError(
    response.status,
    (answer as Problem | null) ?? { code: 'broken', message: 'The server did not answer in a way this page understands. Try again.' },
  )
}

let retell = (text: string): string => text
/** How sentences are retold in the units of whoever is signed in. */
export const onTelling = (teller: (text: string) => string): void => {
  retell = teller
}

/** The sentence to show for anything that was thrown. */
export const sentence = (error: unknown): string => (error instanceof Error ? retell(error.message) : 'Something went wrong. Try again.')
