import { expect, test } from '@playwright/test'
import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { createConnection } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('..', import.meta.url))
const script = join(root, 'scripts/start.mjs')

const answers = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const socket = createConnection({ port, host: '127.0.0.1' })
    socket.once('connect', () => (socket.destroy(), resolve(true)))
    socket.once('error', () => resolve(false))
  })

const said = (child: ChildProcess, wanted: RegExp): Promise<string> =>
  new Promise((resolve, reject) => {
    let text = ''
    const hear = (chunk: Buffer) => {
      text += chunk.toString()
      if (wanted.test(text)) resolve(text)
    }
    child.stdout?.on('data', hear)
    child.stderr?.on('data', hear)
    child.once('exit', (code) => reject(new Error(`It ended with ${code}: ${text}`)))
  })

test.describe('npm start', () => {
  let folder: string
  let env: NodeJS.ProcessEnv
  test.beforeAll(() => {
    // PostgreSQL's own user must reach its data
    folder = mkdtempSync(join(tmpdir(), 'selvrin-start-'))
    chmodSync(folder, 0o755)
    const { DATABASE_URL: _url, ...own } = process.env
    env = { ...own, XDG_STATE_HOME: folder, PORT: String(20_000 + (process.pid % 20_000)), HOST: '127.0.0.1' }
  })
  test.afterAll(() => rmSync(folder, { recursive: true, force: true }))

  test('refuses options it does not know, and a house that should be reset', () => {
    const run = (...flags: string[]) => spawnSync(process.execPath, [script, ...flags], { env, encoding: 'utf8' })
    expect(run('--frehs')).toMatchObject({ status: 2, stderr: expect.stringContaining('is not an option') })
    expect(run('--house', '--fresh')).toMatchObject({ status: 2, stderr: expect.stringContaining('never reset') })
  })

  test('serves a demo on a PostgreSQL of its own, says so to a second one, and Ctrl-C stops everything', async ({ request }) => {
    test.setTimeout(120_000)
    const first = spawn(process.execPath, [script], { env, cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    const text = await said(first, /Ctrl-C/)
    expect(text).toContain('tide-mill-loft')
    const url = `http://127.0.0.1:${env.PORT}`
    expect((await request.get(`${url}/shelf`)).status()).toBe(200)
    const second = spawnSync(process.execPath, [script], { env, cwd: root, encoding: 'utf8' })
    expect(second.stdout).toContain('runs already')
    expect((await request.get(`${url}/api/session`)).status()).toBe(200)

    const state = join(folder, 'selvrin')
    const [clone] = spawnSync('ls', [state], { encoding: 'utf8' }).stdout.split('\n')
    const pidFile = readFileSync(join(state, clone ?? '', 'postgres/postmaster.pid'), 'utf8').split('\n')
    const database = Number(pidFile[3])
    expect(pidFile[5]).toBe('127.0.0.1')
    expect(await answers(database)).toBe(true)
    const gone = new Promise((resolve) => first.once('exit', resolve))
    first.kill('SIGINT')
    await gone
    expect(await answers(database)).toBe(false)
    expect(await answers(Number(env.PORT))).toBe(false)
  })
  test('a server that is killed is begun again; what a killed start left behind is taken over', async ({ request }) => {
    test.setTimeout(180_000)
    const first = spawn(process.execPath, [script], { env, cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    await said(first, /Ctrl-C/)
    const state = join(folder, 'selvrin')
    const noted = () => {
      const [clone = ''] = readdirSync(state)
      return (JSON.parse(readFileSync(join(state, clone, 'running.json'), 'utf8')) as { serverPid: number }).serverPid
    }
    const server = noted()
    // it is a process that is there
    expect(process.kill(server, 0)).toBe(true)
    const again = said(first, /the server died[^]*Ctrl-C/)
    process.kill(server, 'SIGKILL')
    await again
    expect((await request.get(`http://127.0.0.1:${env.PORT}/api/session`)).status()).toBe(200)
    expect(noted()).not.toBe(server)

    // only the start is killed: its server and its PostgreSQL are left, and the next start takes them over
    const gone = new Promise((resolve) => first.once('exit', resolve))
    first.kill('SIGKILL')
    await gone
    expect(await answers(Number(env.PORT))).toBe(true)
    const next = spawn(process.execPath, [script], { env, cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    await said(next, /taking it over[^]*Ctrl-C/)
    const ended = new Promise((resolve) => next.once('exit', resolve))
    next.kill('SIGINT')
    await ended
    expect(await answers(Number(env.PORT))).toBe(false)
  })
})
