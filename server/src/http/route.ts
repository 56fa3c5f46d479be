import { schemaSentence, type Endpoint, type FileAnswer } from '@selvrin/core/contract'
import type { Request, Response, Router } from 'express'
import type { Transaction } from 'sequelize'
import type { z } from 'zod'
import type { Clock } from '../clock'
import type { Database } from '../database/connection'
import { personOf, type Who } from '../session/cookie'
import { readBody, requestHash, type Upload } from './body'
import { loosened } from './loosened'
import { schemaProblem } from './problems'
import { Refusal } from './refusal'

/** What every route works with. */
export interface House {
  db: Database
  clock: Clock
}

export interface Call<E extends Endpoint> extends House {
  params: z.output<E['params']>
  query: z.output<E['query']>
  body: z.output<E['body']>
  /** signed in, unless the route is public */
  who: Who
  /** ms */
  now: number
  /** the request's own transaction; reads have none */
  tx?: Transaction
  /** the file that came along, where the endpoint takes one */
  upload: Upload | null
  /** what `before` found out, outside of any transaction */
  before: unknown
  request: Request
  response: Response
}

type Handler<E extends Endpoint> = (call: Call<E>) => Promise<z.input<E['response']>>

const nobody: Who = { id: '', role: 'member', tokenHash: '' }
const keyPattern = /^[\w-]{8,80}$/

function parsed<T extends z.ZodType>(schema: T, value: unknown, status: number): z.output<T> {
  const result = schema.safeParse(value, { error: schemaSentence })
  if (result.success) return result.data
  const { code, message, ...more } = schemaProblem(result.error)
  throw new Refusal(status, code, message, more)
}

function allow(endpoint: Endpoint, who: Who | null): Who {
  if (endpoint.access === 'public') return who ?? nobody
  if (!who) throw new Refusal(401, 'signed-out', 'Sign in first.')
  if (endpoint.access === 'technician' && who.role !== 'technician')
    throw new Refusal(403, 'not-yours', 'Only a technician may do that. Ask the one on duty.')
  return who
}

/** Same key and body → the stored answer; the same key with another body is refused. Runs inside the request's transaction. */
async function once<T>(
  { db }: House,
  endpoint: Endpoint,
  who: Who,
  request: Request,
  upload: Upload | null,
  now: number,
  tx: Transaction,
  work: () => Promise<T>,
): Promise<T> {
  const key = request.get('idempotency-key') ?? ''
  if (!keyPattern.test(key)) throw new Refusal(400, 'no-key', 'A write needs an Idempotency-Key header of 8 to 80 letters and digits.')
  const hash = requestHash(request, upload, !endpoint.password)
  const fresh = await db.rows(
    'insert into idempotency (person_id, key, request_hash, created_at) values ($1, $2, $3, $4) on conflict do nothing returning key',
    [who.id, key, hash, new Date(now)],
    tx,
  )
  if (fresh.length === 0) {
    const kept = await db.one<{ request_hash: string; answer: T | null }>(
      'select request_hash, answer from idempotency where person_id = $1 and key = $2',
      [who.id, key],
      tx,
    )
    if (kept?.request_hash !== hash) throw new Refusal(422, 'key-reused', 'This Idempotency-Key was used for another request.')
    if (kept.answer === null) throw new Refusal(409, 'shown-once', 'That code was shown already and is not kept. Make a new one.')
    return kept.answer
  }
  const answer = await work()
  if (!endpoint.secret)
    await db.run('update idempotency set answer = $3 where person_id = $1 and key = $2', [who.id, key, JSON.stringify(answer)], tx)
  return answer
}

/** Shown in the browser, never run by it: the content security policy of the pages does not let a file do anything. */
function sendFile(response: Response, { name, type, bytes }: FileAnswer): void {
  response.setHeader('content-type', type)
  response.setHeader('content-security-policy', "default-src 'none'; style-src 'unsafe-inline'; object-src 'self'; sandbox")
  response.setHeader('content-disposition', `inline; filename*=UTF-8''${encodeURIComponent(name)}`)
  response.end(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength))
}

interface Aside<E extends Endpoint> {
  /** what takes long, or asks elsewhere, and is done before the transaction begins, while no row is locked: hashing a password, reading a picture */
  before?: (call: Call<E>) => Promise<unknown>
}

/**
 * Adds a route of the contract: checks who asks before anything that was sent is read, then what was sent, runs writes once and in one transaction, and sends
 * only what the contract names.
 */
export function route<E extends Endpoint>(router: Router, house: House, endpoint: E, handler: Handler<E>, aside: Aside<E> = {}): void {
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
  // what was written is read back whatever its figures are
  const answered = endpoint.file ? endpoint.response : loosened(endpoint.response)
  router[method](endpoint.path, async (request, response) => {
    const now = house.clock.now()
    const person = await personOf(house, request, now)
    const who = allow(endpoint, person)
    const params = parsed(endpoint.params, request.params, 404)
    const query = parsed(endpoint.query, request.query, 400)
    const upload = await readBody(endpoint, request, response, person !== null)
    const body = parsed(endpoint.body, request.body ?? {}, 400)
    const call = { ...house, params, query, body, who, now, upload, before: undefined, request, response } as Call<E>
    call.before = await aside.before?.(call)
    const send = async (tx?: Transaction) => answered.parse(await handler(tx ? { ...call, tx } : call)) as z.output<E['response']>
    const answer =
      endpoint.method === 'GET' || endpoint.path.startsWith('/api/session')
        ? await send()
        : await house.db.transaction((tx) => once(house, endpoint, who, request, upload, now, tx, () => send(tx)))
    if (endpoint.file) sendFile(response, answer as FileAnswer)
    else response.json(answer)
  })
}
