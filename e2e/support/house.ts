import { test as base, expect, type Browser, type BrowserContext, type Page } from '@playwright/test'
import { spawn, type ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { startDevices } from '../../devices/start.mjs'

const root = fileURLToPath(new URL('../..', import.meta.url))

export interface House {
  url: string
  port: number
  /** sets the server's clock forward */
  advance: (ms: number) => void
  /** where the demo's mail server shows what it got */
  post: string
  /** asks the house's own database */
  ask: <T extends object>(sql: string, values?: unknown[]) => Promise<T[]>
}

interface Endable {
  firstCode: string | null
  stop: () => Promise<void>
  faults: () => string
  /** the server is killed, and comes back at the same address */
  fall: () => Promise<void>
  rise: () => Promise<void>
  /** the database lets nobody in any more, and throws out whoever is, or is there again */
  hideDatabase: (hidden: boolean) => Promise<void>
}
/** A server of the built application, on a new database of the tests' PostgreSQL; `stop` ends both. */
export async function startHouse(kind: 'demo' | 'house', name: string): Promise<House & Endable> {
  const admin = process.env.TEST_DATABASE_URL
  if (!admin) throw new Error('TEST_DATABASE_URL is missing: run npm test.')
  const database = `e2e_${name}_${Date.now()}`
  const maker = new pg.Client({ connectionString: `${admin}/postgres` })
  await maker.connect()
  await maker.query(`create database ${database}`)
  const devices = kind === 'demo' ? await startDevices({ anyPort: true }) : null
  const serve = (at: string): ChildProcess =>
    spawn(process.execPath, ['server/dist/main.mjs'], {
      cwd: root,
      stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        DATABASE_URL: `${admin}/${database}`,
        SELVRIN_KIND: kind,
        SELVRIN_EVENING: 'off',
        HOST: '127.0.0.1',
        PORT: at,
        WEB_DIR: `${root}web/dist`,
        ...devices?.env,
      },
    })
  let server = serve('0')
  const said = await untilReady(server)
  let faults = ''
  const listen = () => server.stderr?.on('data', (chunk: Buffer) => (faults += chunk.toString()))
  listen()
  const asker = new pg.Client({ connectionString: `${admin}/${database}`, application_name: 'asker' })
  await asker.connect()
  const gone = async (how: 'SIGKILL' | 'SIGTERM'): Promise<void> => {
    const left = new Promise((resolve) => server.once('exit', resolve))
    server.kill(how)
    await left
  }
  const port = Number(/at http:\/\/127\.0\.0\.1:(\d+)/.exec(said)?.[1])
  return {
    url: `http://127.0.0.1:${port}`,
    port,
    /** what broke inside the server meanwhile, and how: a walk goes on where a page just tries again */
    faults: () => (/^\s+at /m.test(faults) ? faults : ''),
    firstCode: /with the code (\w+)/.exec(said)?.[1] ?? null,
    advance: (advanceMs) => void server.send({ advanceMs }),
    post: `http://127.0.0.1:${devices?.pages.post}`,
    ask: async (sql, values) => (await asker.query(sql, values)).rows,
    fall: () => gone('SIGKILL'),
    rise: async () => {
      server = serve(String(port))
      await untilReady(server)
      listen()
    },
    hideDatabase: async (hidden) => {
      await maker.query(`alter database ${database} allow_connections ${!hidden}`)
      // who asks for the tests is no part of the house
      if (hidden)
        await maker.query(`select pg_terminate_backend(pid) from pg_stat_activity where datname = $1 and application_name <> 'asker'`, [
          database,
        ])
    },
    stop: async () => {
      await asker.end()
      await gone('SIGTERM')
      devices?.stop()
      await maker.query(`drop database ${database} with (force)`)
      await maker.end()
    },
  }
}

/** What a server has printed once it is ready. */
const untilReady = (server: ChildProcess): Promise<string> =>
  new Promise((resolve, reject) => {
    let said = ''
    const hear = (chunk: Buffer) => {
      said += chunk.toString()
      if (said.includes('Ctrl-C')) resolve(said)
    }
    server.stdout?.on('data', hear)
    server.stderr?.on('data', hear)
    server.once('exit', (code) => reject(new Error(`The server ended with ${code}: ${said}`)))
  })

type Standing = { file: string; house: House; stop: () => Promise<void>; faults: () => string }

/**
 * Each file of walks has a demo house of its own, so that what one file writes never meets another, whichever worker takes it up and in whatever order.
 * It is built at a file's first walk and taken down when the worker goes on to the next file.
 */
export const test = base.extend<{ house: House }, { standing: { of: (file: string) => Promise<House>; faults: () => string } }>({
  standing: [
    async ({}, use, info) => {
      let now: Standing | null = null
      await use({
        of: async (file) => {
          if (now?.file === file) return now.house
          await now?.stop()
          now = null
          const { stop, faults, ...house } = await startHouse('demo', `w${info.workerIndex}`)
          now = { file, house, stop, faults }
          return house
        },
        faults: () => now?.faults() ?? '',
      })
      await (now as Standing | null)?.stop()
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  house: [
    async ({ standing }, use, info) => {
      await use(await standing.of(info.file))
      expect(standing.faults(), 'what broke inside the server').toBe('')
    },
    { timeout: 60_000 },
  ],
  baseURL: async ({ house }, use) => use(house.url),
})

export { expect }

/** Signs in as one of the demo's people and waits for the shelf. */
export async function signIn(page: Page, login = 'ilse', at = '/'): Promise<void> {
  await page.goto(`${at}sign-in`.replace('//sign-in', '/sign-in'))
  await page.getByLabel('Sign-in name').fill(login)
  await page.getByLabel('Password').fill('tide-mill-loft')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible()
}

/** Somebody else, in a browser of their own. */
export async function inAnother(browser: Browser, house: House, login: string): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({ baseURL: house.url })
  const page = await context.newPage()
  await signIn(page, login)
  return { context, page }
}

/** Picks an option of a choice field. */
export async function choose(page: Page, field: string, option: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${field}\\b`) }).click()
  await page.getByRole('option', { name: option }).first().click()
}

/** The one thing to do now, wherever the page has put it. */
export const doNext = (page: Page, name?: string): Promise<void> =>
  (name === undefined ? page.locator('[data-next]') : page.getByRole('button', { name })).click()

/** Lets time pass for the page, whose clock the test has installed, and for the server. */
export async function pass(page: Page, house: House, seconds: number): Promise<void> {
  house.advance(seconds * 1000)
  await page.clock.fastForward(seconds * 1000)
}
