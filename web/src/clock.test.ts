/** A page's clock as it is when the page is loaded. */
const loaded = () => {
  jest.resetModules()
  return jest.requireActual<{ now: () => number; setByServer: (at: number) => void }>('./clock')
}
const begin = 1_790_000_000_000
let steady = 0
let wall = begin
beforeEach(() => {
  steady = 0
  wall = begin
  jest.spyOn(performance, 'now').mockImplementation(() => steady)
  jest.spyOn(Date, 'now').mockImplementation(() => wall)
})
afterEach(() => jest.restoreAllMocks())
const pass = (ms: number) => {
  steady += ms
  wall += ms
}

test('a wall clock that is put back, or forward a little, does not move a run', () => {
  const { now } = loaded()
  pass(10_000)
  wall -= 3_600_000
  expect(now()).toBe(begin + 10_000)
  pass(1000)
  expect(now()).toBe(begin + 11_000)
  wall = begin + 11_000 + 3900
  expect(now()).toBe(begin + 11_000)
})

test('a sleep of the machine, in which its own clock stood, is caught up at once, and only once', () => {
  const { now } = loaded()
  pass(5000)
  wall += 90_000
  expect(now()).toBe(begin + 95_000)
  pass(2000)
  expect(now()).toBe(begin + 97_000)
})

test('it goes by the server’s clock, through a sleep as well', () => {
  const { now, setByServer } = loaded()
  setByServer(begin + 500_000)
  expect(now()).toBe(begin + 500_000)
  pass(1000)
  wall += 60_000
  expect(now()).toBe(begin + 561_000)
  setByServer(begin + 600_000)
  expect(now()).toBe(begin + 600_000)
})
