import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { newDatabase, testHouse } from './test/house'

const script = (name: string, url: string, file: string) =>
  execFileSync('node', [resolve(__dirname, `../../scripts/${name}.mjs`), file], {
    env: { ...process.env, DATABASE_URL: url },
    encoding: 'utf8',
    stdio: 'pipe',
  })

test('a backup put back into an empty database is the same darkroom, and nothing is written over one', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'selvrin-backup-'))
  const file = join(folder, 'darkroom.backup')
  const house = await testHouse()
  const shelf = async (one: typeof house) =>
    (await (await one.as('ilse')).send('GET', '/api/bottles?retired=true')).body.rows?.map((row) => [
      row.label,
      row.code,
      (row.state as { volumeMl: number }).volumeMl,
    ])
  const before = await shelf(house)
  expect(script('backup', house.databaseUrl, file)).toContain(file)
  const emptyUrl = await newDatabase()
  script('restore', emptyUrl, file)
  const back = await testHouse('demo', emptyUrl)
  expect(await shelf(back)).toEqual(before)
  expect(() => script('restore', house.databaseUrl, file)).toThrow(/holds something already/)
  await Promise.all([house.close(), back.close()])
  rmSync(folder, { recursive: true })
}, 60_000)
