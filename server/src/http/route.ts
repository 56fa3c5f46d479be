import { schemaSentence, type Endpoint, type FileAnswer } from '@selvrin/core/contract'
import type { Request, Response, Router } from 'express'
import type { z } from 'zod'
import type { House } from '../house/house'
import { readBody, type Upload } from './body'
import { cutOf } from './cut'
import { once } from './once'
import { schemaProblem } from './problems'
import { Refusal } from '../house/refusal'
import { personOf, type Who } from './who'

export interface Call<E extends Endpoint> extends House {
  params: z.output<E['params']>
  query: z.output<E['query']>
  body: z.output<E['body']>
  /** signed in, unless the route is public */
  who: Who
  /** ms */
  now: number
  /** the file that came along, where the endpoint takes one */
  upload: Upload | null
  /** what `before` found out, outside of any transaction */
  before: unknown
  request: Request
  response: Response
}
/** What answers an endpoint of the contract: a write inside one transaction, which every statement of it goes into. */
export type Handler<E extends Endpoint> = (call: Call<E>) => Promise<z.input<E['response']>>

interface Aside<E extends Endpoint> {
  /** what takes long, or asks elsewhere, and is done before the transaction begins, while no row is locked: hashing a password, reading a picture */
  before?: (call: Call<E>) => Promise<unknown>
}
/** An endpoint and what answers it: one line of a subject's table of contents. */
export interface Route {
  endpoint: Endpoint
  handler: Handler<Endpoint>
  aside: Aside<Endpoint>
}
export const answers = <E extends Endpoint>(endpoint: E, handler: Handler<E>, aside: Aside<E> = {}): Route =>
  ({ endpoint, handler, aside }) as unknown as Route

const nobody: Who = { id: '', name: '', role: 'member', tokenHash: '' }

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

/** Shown in the browser, never run by it: the content security policy of the pages does not let a file do anything. */
function sendFile(response: Response, { name, type, bytes }: FileAnswer): void {
  response.setHeader('content-type', type)
  response.setHeader('content-security-policy', "default-src 'none'; style-src 'unsafe-inline'; object-src 'self'; sandbox")
  response.setHeader('content-disposition', `inline; filename*=UTF-8''${encodeURIComponent(name)}`)
  response.end(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength))
}

/**
 * Serves an endpoint of the contract: checks who asks before anything that was sent is read, then what was sent, runs writes once and in one transaction, and
 * sends only what the contract names.
 */
export function serve(router: Router, house: House, { endpoint, handler, aside }: Route): void {
  const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
  const told = endpoint.file ? (answer: unknown) => answer : cutOf(endpoint.response)
  router[method](endpoint.path, async (request, response) => {
    const now = house.clock.now()
    const person = await personOf(house, request, now)
    const who = allow(endpoint, person)
    const params = parsed(endpoint.params, request.params, 404)
    const query = parsed(endpoint.query, request.query, 400)
    const upload = await readBody(endpoint, request, response, person !== null)
    const body = parsed(endpoint.body, request.body ?? {}, 400)
    const call = { ...house, params, query, body, who, now, upload, before: undefined, request, response } as Call<Endpoint>
    call.before = await aside.before?.(call)
    const send = async () => told((await handler(call)) as never)
    if (endpoint.method !== 'GET' && !endpoint.unkeyed) {
      const answer = await once(house, { endpoint, who, request, upload, now }, send)
      response.setHeader('content-type', 'application/json; charset=utf-8').end(answer)
    } else if (endpoint.file) sendFile(response, (await send()) as FileAnswer)
    else response.json(await send())
  })
}
