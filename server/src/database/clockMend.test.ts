import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { backwardsClock, mendClock } from './clockMend'

const dayMs = 86_400_000
let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

interface Shown {
  id: string
  label: string
  state: { aged: number; rollsPerL: number }
}
const fixer = async (sizeMl: number): Promise<Shown> => {
  const formula = (await ilse.send('GET', '/api/formulas')).body.rows?.find(
    (row) => (row.body as { name: string }).name === 'Rapid fixer concentrate',
  )
  return (await ilse.send('POST', '/api/bottles', { id: uuid(), formulaId: formula?.id, sizeMl, ml: sizeMl })).body as unknown as Shown
}
const use = (id: string, ml: number, rolls: number, overrule = 'to see what becomes of it') =>
  ilse.send('POST', `/api/bottles/${id}/entries`, { entryId: uuid(), kind: 'use', ml, rolls, overrule })
const agedOf = async (id: string) => ((await ilse.send('GET', `/api/bottles/${id}`)).body as unknown as Shown).state.aged

test('lines written while the clock ran ten years ahead do not age a bottle for good, however many came since', async () => {
  const bottle = await fixer(1000)
  const before = await agedOf(bottle.id)
  house.advance(3650 * dayMs)
  ilse = await house.as('ilse')
  // enough of them to be folded into the checkpoint
  for (let i = 0; i < 45; i++) expect((await use(bottle.id, 1, 0)).status).toBe(200)
  const late = await fixer(500)
  house.advance(-3650 * dayMs)
  ilse = await house.as('ilse')
  expect(await mendClock(house.db, house.now())).toBe(46)
  expect(await agedOf(bottle.id)).toBeCloseTo(before, 2)
  expect(await agedOf(late.id)).toBeLessThan(0.01)
  house.advance(30 * dayMs)
  ilse = await house.as('ilse')
  expect(await agedOf(late.id)).toBeCloseTo(30 / 730, 3)
  // a line is still written for good
  await expect(house.sql(`update bottle_entry set at = now() where bottle_id = $1`, [bottle.id])).rejects.toThrow('append-only')
  house.advance(-30 * dayMs)
})

test('where the clock is behind now, nothing is given another time', async () => {
  const last = () => house.one<{ at: number }>('select max(at) as at from bottle_entry')
  const before = await last()
  expect(await mendClock(house.db, house.now() - 3650 * dayMs)).toBe(0)
  expect(await mendClock(house.db, house.now() - 60 * dayMs)).toBe(0)
  expect(await last()).toEqual(before)
})

test('a clock set back is noticed once, a slow minute is not', () => {
  let [now, ticks] = [1e12, 0]
  const setBack = backwardsClock(
    () => now,
    () => ticks,
  )
  now += 60_000
  ticks += 60_000
  expect(setBack()).toBe(false)
  now -= 86_400_000
  ticks += 60_000
  expect([setBack(), setBack()]).toEqual([true, false])
})

test('more rolls than the liquid could ever wet are refused, and what was accepted can always be read and taken out', async () => {
  const tiny = await fixer(0.05)
  const refused = await use(tiny.id, 0, 1000)
  expect([refused.status, refused.body.code]).toEqual([422, 'too-many'])
  for (let i = 0; i < 30; i++) expect((await use(tiny.id, 0, 1)).status).toBe(200)
  const shown = await ilse.send('GET', `/api/bottles/${tiny.id}`)
  expect((shown.body as unknown as Shown).state.rollsPerL).toBeGreaterThan(100_000)
  for (const path of ['/api/bottles', `/api/bottles/${tiny.id}/ledger`, `/api/bottles/${tiny.id}/life`])
    expect((await ilse.send('GET', path)).status).toBe(200)
})
