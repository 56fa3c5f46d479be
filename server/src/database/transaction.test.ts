import { newDatabase } from '../test/house'
import type { Database } from '../table/database'
import { connect } from './connection'

let db: Database
beforeAll(async () => {
  db = connect(await newDatabase())
  await db.query('create table kept (word text primary key)')
})
afterAll(() => db.close())

const write = (word: string) => db.write('insert into kept (word) values ($word)', { word })
const words = async () => (await db.query<{ word: string }>('select word from kept order by word')).map((row) => row.word)

test('what is written without waiting is read by the same work, and stands when it ends', async () => {
  const seen = await db.transaction(async () => {
    await write('anchor')
    await write('buoy')
    return words()
  })
  expect(seen).toEqual(['anchor', 'buoy'])
  expect(await words()).toEqual(seen)
})

test('what is refused without having been waited for is what the work fails of, and none of it stands', async () => {
  const before = await words()
  const refused = { code: '23505', constraint: 'kept_pkey' }
  // at its end
  await expect(db.transaction(async () => [await write('crane'), await write('anchor')])).rejects.toMatchObject(refused)
  // and before, where what follows fails of it
  await expect(db.transaction(async () => [await write('anchor'), await words()])).rejects.toMatchObject(refused)
  await expect(
    db.transaction(async () => {
      await write('dory')
      throw new Error('thought better of it')
    }),
  ).rejects.toThrow('thought better of it')
  expect(await words()).toEqual(before)
})

test('a failure that somebody kept to themselves is no success', async () => {
  const work = db.transaction(async () => {
    await write('ebb')
    await db.query(`insert into kept (word) values ('anchor')`).catch(() => undefined)
    return 'done'
  })
  await expect(work).rejects.toThrow('nobody was told')
  expect(await words()).not.toContain('ebb')
  // and its connection serves the next
  expect(await db.transaction(() => words())).toEqual(await words())
})
