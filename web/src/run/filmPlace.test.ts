import { placeWords, stageOf } from './filmPlace'

const hung = { hungAt: 0, dryer: 'air' as const, hanger: 3, cut: null, sleeve: null, sleevedAt: null, handedAt: null }
const hour = 3_600_000
const words = (part: object, at: number) => placeWords({ ...hung, ...part }, at, 'UTC')

test('a film hangs until it is dry, is sleeved, and handed back; each is said with its place', () => {
  expect(words({}, 2 * hour)).toBe('Hangs on 3, dry at 03:00')
  expect(words({ dryer: 'cabinet', hanger: null }, hour / 2)).toBe('In the cabinet, dry at 00:40')
  expect(words({}, 3 * hour)).toBe('Hangs on 3, dry: to cut and sleeve')
  expect(words({ sleevedAt: hour, sleeve: '12-1', cut: 6 }, 0)).toBe('Sleeve 12-1, strips of 6, in its owner’s place')
  expect(words({ sleevedAt: hour, sleeve: '12-1', cut: 0, handedAt: 2 * hour }, 0)).toMatch(/^Sleeve 12-1, handed back .*02:00$/)
  expect([words({ hungAt: null }, 0), stageOf({ ...hung, hungAt: null }, 0)]).toEqual(['', 'in-tank'])
})
