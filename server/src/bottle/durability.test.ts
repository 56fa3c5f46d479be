import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { build } from 'esbuild'
import { v7 as uuid } from 'uuid'
import { demoPassword } from '../demo/people'
import { newDatabase, testHouse } from '../test/house'

const root = resolve(__dirname, '../../..')

/** The server as a process of its own, so that it can be killed. */
async function serve(file: string, databaseUrl: string): Promise<{ process: ChildProcess; url: string }> {
  const child = spawn('node', [file], {
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: '0', SELVRIN_KIND: 'demo' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const url = await new Promise<string>((found, failed) => {
    let said = ''
    child.stdout?.on('data', (text: Buffer) => {
      said += text.toString()
      const address = /http:\/\/\S+/.exec(said)
      if (address) found(address[0])
    })
    child.once('exit', (code) => failed(new Error(`the server ended with ${code}`)))
  })
  return { process: child, url }
}

test('a server killed hard during a stream of writes loses no acknowledged entry and counts none twice', async () => {
  const folder = mkdtempSync(join(root, 'server', '.killed-'))
  const file = join(folder, 'main.mjs')
  await build({
    entryPoints: [join(root, 'server/src/main.ts')],
    outfile: file,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    alias: { '@selvrin/core/contract': join(root, 'core/src/contract/index.ts'), '@selvrin/core': join(root, 'core/src/index.ts') },
  })
  const databaseUrl = await newDatabase()
  let running = await serve(file, databaseUrl)
  const signIn = async () =>
    (
      await fetch(`${running.url}/api/session`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ login: 'ilse', password: demoPassword }),
      })
    ).headers
      .get('set-cookie')
      ?.split(';')[0] ?? ''
  let cookie = await signIn()
  const send = (path: string, body: object, key: string) =>
    fetch(running.url + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie, 'idempotency-key': key },
      body: JSON.stringify(body),
    })
  const formulas = (await (await fetch(`${running.url}/api/formulas`, { headers: { cookie } })).json()) as {
    rows: { id: string; body: { name: string } }[]
  }
  const bottleId = uuid()
  const formulaId = formulas.rows.find((row) => row.body.name === 'Rapid fixer concentrate')?.id
  expect((await send('/api/bottles', { id: bottleId, formulaId, sizeMl: 5000, ml: 5000 }, uuid())).status).toBe(200)

  const acknowledged = new Set<string>()
  const unsure = new Map<string, string>()
  const pour = async (entryId: string, key: string) => {
    unsure.set(entryId, key)
    const answer = await send(`/api/bottles/${bottleId}/entries`, { entryId, kind: 'pour-out', ml: 1 }, key)
    await answer.text()
    if (answer.status !== 200) throw new Error(`refused: ${answer.status}`)
    unsure.delete(entryId)
    acknowledged.add(entryId)
  }
  for (const round of [1, 2]) {
    // eight hands pour until the server is gone; it is killed when some of them have been answered
    const enough = acknowledged.size + 25 * round
    const gone = new Promise((resolve_) => running.process.once('exit', resolve_))
    const hands = Array.from({ length: 8 }, async () => {
      for (;;) {
        try {
          await pour(uuid(), uuid())
        } catch {
          return
        }
        if (acknowledged.size >= enough) running.process.kill('SIGKILL')
      }
    })
    await Promise.all([...hands, gone])
    running = await serve(file, databaseUrl)
    cookie = await signIn()
  }
  // what was not answered is asked again, as a page does
  await Promise.all([...unsure].map(([entryId, key]) => pour(entryId, key)))
  const house = await testHouse('demo', databaseUrl)
  const kept = await house.sql<{ id: string }>(`select id from bottle_entry where bottle_id = $1 and kind = 'pour-out'`, [bottleId])
  expect(new Set(kept.map((row) => row.id))).toEqual(acknowledged)
  expect(kept.length).toBe(acknowledged.size)
  const bottle = await house.one<{ ml: number }>('select ml from bottle_checkpoint where bottle_id = $1', [bottleId])
  expect(bottle?.ml).toBe(5000 - acknowledged.size)
  running.process.kill('SIGKILL')
  await house.close()
  rmSync(folder, { recursive: true })
}, 90_000)
