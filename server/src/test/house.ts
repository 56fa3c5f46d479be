import type { AddressInfo } from 'node:net'
import { createServer, type Server } from 'node:http'
import { endpoints, type Endpoint } from '@selvrin/core/contract'
import { QueryTypes } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { createApp, type Options } from '../app'
import { connect } from '../database/connection'
import { prepare, type Kind } from '../database/prepare'
import { demoPassword } from '../demo/people'
import type { House } from '../house/house'
import type { Jobs } from '../house/jobs'
import type { Database } from '../table/database'

export interface Answer {
  status: number
  body: Record<string, unknown> & { rows?: Record<string, unknown>[] }
  headers: Headers
}
export interface Caller {
  cookie: string
  /** sends anything, as it is */
  send: (method: string, path: string, body?: unknown, headers?: Record<string, string>) => Promise<Answer>
  /** sends a form with one file and the JSON beside it */
  sendFile: (method: string, path: string, body: unknown, file: Buffer) => Promise<Answer>
  /** calls a route of the contract with the params filled in */
  call: (
    endpoint: Endpoint,
    parts?: { params?: Record<string, string>; query?: Record<string, string>; body?: unknown; key?: string },
  ) => Promise<Answer>
}
export interface TestHouse {
  db: Database
  url: string
  databaseUrl: string
  /** what a test looks at or does behind the house's back */
  sql: <T extends object = Record<string, unknown>>(text: string, bind?: unknown[]) => Promise<T[]>
  one: <T extends object>(text: string, bind?: unknown[]) => Promise<T | undefined>
  firstCode: string | null
  /** sets the server's clock forward, ms */
  advance: (ms: number) => void
  now: () => number
  as: (login: string | null) => Promise<Caller>
  close: () => Promise<void>
}

let made = 0
/** Houses that stand open: one that a failing test leaves behind would keep the whole run from ending. */
const open = new Set<() => Promise<void>>()
afterAll(async () => {
  await Promise.all([...open].map((close) => close()))
})

/** An empty database of its own on the tests' PostgreSQL. */
export async function newDatabase(): Promise<string> {
  const admin = process.env.TEST_DATABASE_URL
  if (!admin) throw new Error('TEST_DATABASE_URL is missing: run npm test, which starts PostgreSQL.')
  const name = `t_${process.pid}_${Date.now()}_${made++}`
  const maker = connect(`${admin}/postgres`)
  await maker.query(`create database ${name}`)
  await maker.close()
  return `${admin}/${name}`
}

/** Statements of a test's own on a database. */
export const sqlOn =
  (db: Database) =>
  async <T extends object = Record<string, unknown>>(text: string, bind?: unknown[]): Promise<T[]> =>
    (await db.sequelize.query(text, { type: QueryTypes.SELECT, raw: true, ...(bind ? { bind } : {}) })) as T[]

const patterns = endpoints.map((endpoint) => ({
  endpoint,
  pattern: new RegExp(`^${endpoint.method} ${endpoint.path.replace(/:\w+/g, '[^/]+')}$`),
}))
/** What the house answers is what the contract says it answers: the house itself only leaves out what is not named. */
function holdToContract(method: string, path: string, answer: unknown): void {
  const asked = `${method} ${path.split('?')[0] ?? ''}`
  const { endpoint } = patterns.find(({ pattern }) => pattern.test(asked)) ?? {}
  if (!endpoint || endpoint.file) return
  const read = endpoint.response.safeParse(answer)
  if (!read.success) throw new Error(`${asked} answers otherwise than the contract says: ${read.error.message}`)
}

interface More {
  /** with the demo’s evening, which takes a while to arrange */
  evening?: boolean
  /** with work in the background, which takes a while to set up */
  jobs?: (house: House) => Promise<Jobs & { close: () => Promise<void> }>
}

/** The application on a database of its own, listening on loopback. */
export async function testHouse(
  kind: Kind = 'demo',
  at?: string,
  { evening = false, jobs: starting, ...options }: Options & More = {},
): Promise<TestHouse> {
  const databaseUrl = at ?? (await newDatabase())
  const db = connect(databaseUrl)
  let aheadMs = 0
  const clock = { now: () => Date.now() + aheadMs }
  const { firstCode } = await prepare(db, clock, { kind, strict: false, fresh: false, evening })
  const jobs = await starting?.({ db, clock })
  const { app, close } = createApp({ db, clock, jobs }, options)
  const server: Server = createServer(app)
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`

  const caller = (cookie: string): Caller => {
    const send: Caller['send'] = async (method, path, body, headers = {}) => {
      const response = await fetch(url + path, {
        method,
        headers: {
          ...(cookie === '' ? {} : { cookie }),
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          'idempotency-key': uuid(),
          ...headers,
        },
        ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
      })
      const text = await response.text()
      const answer = text.startsWith('{') ? (JSON.parse(text) as Answer['body']) : { text }
      if (response.status === 200) holdToContract(method, path, answer)
      return { status: response.status, headers: response.headers, body: answer }
    }
    const sendFile: Caller['sendFile'] = async (method, path, body, file) => {
      const form = new FormData()
      form.set('body', JSON.stringify(body))
      form.set('file', new Blob([new Uint8Array(file)]))
      const response = await fetch(url + path, {
        method,
        headers: { ...(cookie === '' ? {} : { cookie }), 'idempotency-key': uuid() },
        body: form,
      })
      return { status: response.status, headers: response.headers, body: (await response.json()) as Answer['body'] }
    }
    const call: Caller['call'] = (endpoint, { params = {}, query, body, key } = {}) => {
      const path = endpoint.path.replace(/:(\w+)/g, (_, name: string) => params[name] ?? name)
      const search = query ? `?${new URLSearchParams(query)}` : ''
      return send(
        endpoint.method,
        path + search,
        endpoint.method === 'GET' ? undefined : (body ?? {}),
        key === undefined ? {} : { 'idempotency-key': key },
      )
    }
    return { cookie, send, sendFile, call }
  }
  const closeHouse = async (): Promise<void> => {
    if (!open.delete(closeHouse)) return
    server.closeAllConnections()
    await new Promise((resolve) => server.close(resolve))
    await jobs?.close()
    await close()
    await db.close()
  }
  open.add(closeHouse)
  return {
    db,
    url,
    databaseUrl,
    sql: sqlOn(db),
    one: async (text, bind) => (await sqlOn(db)(text, bind))[0] as never,
    firstCode,
    advance: (ms) => void (aheadMs += ms),
    now: clock.now,
    as: async (login) => {
      if (login === null) return caller('')
      const { headers, status } = await caller('').send('POST', '/api/session', { login, password: demoPassword })
      if (status !== 200) throw new Error(`${login} cannot sign in: ${status}`)
      return caller((headers.get('set-cookie') ?? '').split(';')[0] ?? '')
    },
    close: closeHouse,
  }
}
