import { expect, test } from '@playwright/test'
import { spawnSync } from 'node:child_process'
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pg from 'pg'

const root = fileURLToPath(new URL('..', import.meta.url))
const admin = process.env.TEST_DATABASE_URL
if (!admin) throw new Error('TEST_DATABASE_URL is missing: run npm test, which starts PostgreSQL.')

/** Asks a database of the tests' PostgreSQL. */
async function ask<T extends object>(name: string, sql: string): Promise<T[]> {
  const client = new pg.Client(`${admin}/${name}`)
  await client.connect()
  try {
    return (await client.query<T>(sql)).rows
  } finally {
    await client.end()
  }
}
const run = (script: string, words: string[], database: string) =>
  spawnSync(process.execPath, [join(root, 'scripts', script), ...words], {
    env: { ...process.env, DATABASE_URL: `${admin}/${database}`, INIT_CWD: '' },
    encoding: 'utf8',
    timeout: 110_000,
  })

test.describe('backups', () => {
  let folder: string
  const names = ['kept', 'back', 'taken'].map((name) => `${name}_${process.pid}`)
  const [kept = '', back = '', taken = ''] = names
  test.beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'selvrin-keeping-'))
    chmodSync(folder, 0o755)
    for (const name of names) await ask('postgres', `create database ${name}`)
    for (const name of [kept, taken])
      await ask(
        name,
        `create table darkroom (kind text); create table person (name text); create table session (n int); create table one_time_code (n int);
         create table sign_in_attempt (n int); create table idempotency (n int);
         create table exposure_note (body text); insert into exposure_note values ('itched'), ('coughed');
         insert into darkroom values ('house'); insert into person values ('someone of ${name}'); insert into session values (1)`,
      )
  })
  test.afterAll(async () => {
    rmSync(folder, { recursive: true, force: true })
    for (const name of names) await ask('postgres', `drop database if exists ${name} with (force)`)
  })

  test('are their owner’s alone, and one that fails leaves the older one whole', () => {
    const file = join(folder, 'darkroom.backup')
    expect(run('backup.mjs', [file], kept)).toMatchObject({
      status: 0,
      stdout: expect.stringMatching(/It holds 2 notes of exposure, which are health data[^]*The darkroom is in/),
    })
    expect(statSync(file).mode & 0o777).toBe(0o600)
    const before = readFileSync(file)
    const failed = run('backup.mjs', [file], 'there_is_none')
    expect(failed.status).not.toBe(0)
    expect(readFileSync(file).equals(before)).toBe(true)
    // and nothing half-written stands beside it
    expect(readdirSync(folder)).toEqual(['darkroom.backup'])
  })

  test('go back into an empty database, with nobody signed in; never over one that holds something', async () => {
    const file = join(folder, 'darkroom.backup')
    const refused = run('restore.mjs', [file], taken)
    expect(refused.status).not.toBe(0)
    expect(refused.stderr + refused.stdout).toContain('nothing was written over it')
    expect(await ask(taken, 'select name from person')).toEqual([{ name: `someone of ${taken}` }])
    expect(run('restore.mjs', [file], back)).toMatchObject({ status: 0, stdout: expect.stringContaining('is back') })
    expect(await ask(back, 'select name from person')).toEqual([{ name: `someone of ${kept}` }])
    expect(await ask(back, 'select * from session')).toEqual([])
  })

  test('of a file that is none touch nothing, and of spans that are none begin nothing', async () => {
    const file = join(folder, 'torn.backup')
    writeFileSync(file, readFileSync(join(folder, 'darkroom.backup')).subarray(0, 200))
    expect(run('restore.mjs', [file], taken)).toMatchObject({ stderr: expect.stringContaining('Nothing was touched') })
    expect(run('backup.mjs', ['--every', 'often', join(folder, 'many')], kept).status).not.toBe(0)
    mkdirSync(join(folder, 'many'), { recursive: true })
    expect(existsSync(join(folder, 'many')) && readdirSync(join(folder, 'many'))).toEqual([])
  })
})
