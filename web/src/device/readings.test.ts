import type { Device, Reading } from '@selvrin/core/contract'
import { effectScope, reactive, shallowReactive } from 'vue'
import type { useBench as UseBench } from './readings'

const readers = new Set<(reading: Reading) => void>()
const devices = reactive({ rows: [] as Device[], load: () => Promise.resolve() })
jest.mock('../api/live', () => ({ onReading: (reader: (reading: Reading) => void) => readers.add(reader) }))
jest.mock('../stores', () => ({ useDevices: () => devices }))
jest.mock('../session/store', () => ({ useSession: () => reactive({ isTechnician: true }) }))
let state: object | undefined
jest.mock('pinia', () => ({ defineStore: (_name: string, setup: () => object) => () => (state ??= shallowReactive(setup())) }))

// intervals run where there is a page
Object.assign(globalThis, { window: globalThis, document: {} })
const { useBench } = jest.requireActual<{ useBench: typeof UseBench }>('./readings')
const device = (id: string, more: Partial<Device> = {}) =>
  ({
    id,
    version: 1,
    kind: 'scale',
    name: id,
    host: '',
    port: 1,
    pattern: '',
    active: true,
    simulated: false,
    calibration: null,
    ...more,
  }) as Device
const say = (deviceId: string, value: number | null, stable = true) =>
  readers.forEach((reader) => reader({ deviceId, value, stable, at: 0 }))

let clock = 0
let scope: ReturnType<typeof effectScope>
beforeEach(() => {
  clock = 1000
  state = undefined
  readers.clear()
  jest.useFakeTimers()
  jest.spyOn(performance, 'now').mockImplementation(() => clock)
  devices.rows = [device('old scale'), device('new scale'), device('probe', { kind: 'thermometer' })]
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  jest.useRealTimers()
  jest.restoreAllMocks()
})
const bench = () => scope.run(() => useBench('scale'))!
function wait(ms: number) {
  clock += ms
  jest.advanceTimersByTime(ms)
}

test('of two scales the one that speaks is the one at the bench', () => {
  const scale = bench()
  expect([scale.device.value?.id, scale.lost.value]).toEqual(['old scale', true])
  say('new scale', 12.3)
  expect([scale.device.value?.id, scale.reading.value?.value, scale.lost.value]).toEqual(['new scale', 12.3, false])
})
test('another kind of device says nothing here', () => {
  const scale = bench()
  say('probe', 21)
  expect([scale.reading.value, scale.lost.value]).toEqual([null, true])
})
test('a reading grows old, and a device that says it is lost is lost at once', () => {
  const scale = bench()
  say('old scale', 5)
  wait(3000)
  expect(scale.reading.value?.value).toBe(5)
  wait(2000)
  expect([scale.reading.value, scale.lost.value]).toEqual([null, true])
  say('old scale', 6)
  expect(scale.reading.value?.value).toBe(6)
  say('old scale', null, false)
  expect(scale.lost.value).toBe(true)
})
test('a device that is switched off is not at the bench', () => {
  devices.rows = [device('old scale', { active: false })]
  const scale = bench()
  expect([scale.device.value, scale.lost.value]).toEqual([undefined, false])
})
