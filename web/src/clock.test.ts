import type * as module from './clock'

type Clock = typeof module
/** A page's clock as it is when the page is loaded. */
const loaded = (): Clock => {
  jest.resetModules()
  return jest.requireActual<Clock>('./clock')
}
const begin = 1_790_000_000_000
let steady = 0
let wall = begin
let stored: Record<string, string> = {}
beforeEach(() => {
  steady = 0
  wall = begin
  stored = {}
  Object.assign(globalThis, {
    localStorage: { getItem: (key: string) => stored[key] ?? null, setItem: (key: string, text: string) => (stored[key] = text) },
  })
  jest.spyOn(performance, 'now').mockImplementation(() => steady)
  jest.spyOn(Date, 'now').mockImplementation(() => wall)
})
afterEach(() => jest.restoreAllMocks())
const pass = (ms: number) => {
  steady += ms
  wall += ms
}
const answered = () => new Promise((resolve) => setImmediate(resolve))
const reload = (): Clock => {
  steady = 0
  return loaded()
}

test('a wall clock that is set does not move a run, and what was not followed is told', async () => {
  const { now, onClockStep, timeFrom, clockDoubt } = loaded()
  const told: unknown[] = []
  onClockStep((step) => told.push(step))
  timeFrom(() => Promise.resolve(begin + steady))
  for (const [ms, after] of [
    [-3_600_000, 10_000],
    [3_900_000, 11_000],
    [7000, 12_000],
  ] as const) {
    pass(after - steady)
    wall += ms
    expect(now()).toBe(begin + after)
    await answered()
    expect(now()).toBe(begin + after)
  }
  expect([told, clockDoubt.value]).toEqual([[-3_600_000, 3_900_000, 7000].map((byMs) => ({ kind: 'ignored', byMs })), null])
})

test('a sleep of the machine, in which its own clock stood, is caught up as soon as the server has said so, and only once', async () => {
  const { now, timeFrom, clockMatters } = loaded()
  clockMatters(true)
  timeFrom(() => Promise.resolve(wall))
  pass(5000)
  wall += 90_000
  expect(now()).toBe(begin + 5000)
  await answered()
  expect(now()).toBe(begin + 95_000)
  pass(2000)
  expect(now()).toBe(begin + 97_000)
})

test('without the server a person says whether it slept, while a run is on; put back it was set, without asking', async () => {
  const { now, clockDoubt, settleDoubt, clockMatters } = loaded()
  clockMatters(true)
  pass(5000)
  wall -= 60_000
  now()
  await answered()
  expect(clockDoubt.value).toBeNull()
  wall += 90_000
  now()
  await answered()
  expect([now(), clockDoubt.value]).toEqual([begin + 5000, { byMs: 90_000, other: 'wall' }])
  settleDoubt(true)
  expect([now(), clockDoubt.value]).toEqual([begin + 95_000, null])
  wall += 90_000
  now()
  await answered()
  settleDoubt(false)
  expect(now()).toBe(begin + 95_000)
  clockMatters(false)
  wall += 40_000
  now()
  await answered()
  expect(now()).toBe(begin + 135_000)
})

test('it goes by the server’s clock, but is moved by more than two seconds in the middle of a run only when a person says so', () => {
  const { now, setByServer, clockMatters, clockDoubt, settleDoubt } = loaded()
  setByServer(begin + 500_000)
  expect(now()).toBe(begin + 500_000)
  clockMatters(true)
  setByServer(begin + 501_900)
  expect([now(), clockDoubt.value]).toEqual([begin + 501_900, null])
  setByServer(begin + 504_000)
  expect([now(), clockDoubt.value]).toEqual([begin + 501_900, { byMs: 2100, other: 'server' }])
  settleDoubt(true)
  expect(now()).toBe(begin + 504_000)
})

test('after a reload it goes on where it was, whatever was done to the wall clock before, and is compared with the server', async () => {
  const first = loaded()
  first.clockMatters(true)
  first.setByServer(begin)
  wall += 3_600_000
  first.now()
  await answered()
  pass(10_000)
  const { now, setByServer, clockDoubt } = reload()
  expect(now()).toBe(begin + 10_000)
  pass(1000)
  setByServer(begin + 11_500)
  expect([now(), clockDoubt.value]).toEqual([begin + 11_500, null])
  setByServer(begin + 20_000)
  expect(clockDoubt.value).toEqual({ byMs: 8500, other: 'server' })
})

test('a device that keeps nothing has its time all the same', () => {
  Object.assign(globalThis, {
    localStorage: {
      getItem: () => {
        throw new Error('blocked')
      },
      setItem: () => {
        throw new Error('blocked')
      },
    },
  })
  const { now, setByServer } = loaded()
  setByServer(begin + 1000)
  expect(now()).toBe(begin + 1000)
})
