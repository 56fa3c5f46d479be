jest.mock('../hand/keys', () => ({ typing: () => false }))
import { light } from '../light/light'
import { holdToLighten, useWayBack, wayBack } from './useWayBack'

const place = new EventTarget()
const press = (type: 'keydown' | 'keyup', key: string) => place.dispatchEvent(Object.assign(new Event(type, { cancelable: true }), { key }))
beforeAll(() => {
  Object.assign(globalThis, { window: Object.assign(place, { setTimeout: (work: () => void, ms: number) => setTimeout(work, ms) }) })
  useWayBack()
})
beforeEach(() => {
  jest.useFakeTimers()
  Object.assign(globalThis, { requestAnimationFrame: () => 0, cancelAnimationFrame: () => undefined })
  light.value = 'safelight'
})
afterEach(() => jest.useRealTimers())

test('L and Enter held for a whole second make it lighter, no less', () => {
  press('keydown', 'l')
  press('keydown', 'Enter')
  jest.advanceTimersByTime(950)
  expect(light.value).toBe('safelight')
  jest.advanceTimersByTime(50)
  expect(light.value).toBe('white')
})

test('let go before, or Enter without L, nothing comes of it', () => {
  press('keydown', 'l')
  press('keydown', 'Enter')
  jest.advanceTimersByTime(900)
  press('keyup', 'Enter')
  jest.advanceTimersByTime(5000)
  press('keyup', 'l')
  press('keydown', 'Enter')
  jest.advanceTimersByTime(5000)
  press('keyup', 'Enter')
  expect([light.value, wayBack.value]).toEqual(['safelight', 0])
})

test('a finger holds the button for two seconds', () => {
  holdToLighten.pointerdown()
  jest.advanceTimersByTime(1950)
  holdToLighten.pointerup()
  expect(light.value).toBe('safelight')
  holdToLighten.pointerdown()
  jest.advanceTimersByTime(2000)
  expect(light.value).toBe('white')
})
