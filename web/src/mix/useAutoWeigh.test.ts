import type { Reading } from '@selvrin/core/contract'
import { computed, effectScope, nextTick, shallowRef } from 'vue'
import type { AtBench } from '../device/readings'
import { useAutoWeigh } from './useAutoWeigh'

let clock: number
let reading: ReturnType<typeof shallowRef<Reading | null>>
let taken: number[]
let busy: boolean
let scope: ReturnType<typeof effectScope>
beforeEach(() => {
  clock = 0
  jest.spyOn(performance, 'now').mockImplementation(() => clock)
  reading = shallowRef<Reading | null>(null)
  taken = []
  scope = effectScope()
  const bench: AtBench = {
    device: computed(() => undefined),
    reading: computed(() => reading.value ?? null),
    lost: computed(() => false),
  }
  busy = false
  scope.run(() =>
    useAutoWeigh(
      bench,
      computed(() => ({ low: 95, high: 105 })),
      (grams) => void taken.push(grams),
      () => busy,
    ),
  )
})
afterEach(() => {
  scope.stop()
  jest.restoreAllMocks()
})
async function show(value: number, stable: boolean, ms = 300) {
  clock += ms
  reading.value = { deviceId: 'd', value, stable, at: clock }
  await nextTick()
}

test('a weight that stays in its band is taken once', async () => {
  await show(0, true)
  await show(60, false)
  for (let i = 0; i < 10; i++) await show(100 + i / 100, true)
  expect(taken).toHaveLength(1)
})
test('what stood on the pan before the step began does not count until it was lifted', async () => {
  for (let i = 0; i < 10; i++) await show(100, true)
  expect(taken).toEqual([])
  await show(1, true)
  for (let i = 0; i < 5; i++) await show(100, true)
  expect(taken).toEqual([100])
})
test('a needle passing through the band, or leaving it again, is not taken', async () => {
  await show(0, true)
  for (const value of [96, 98, 100, 102, 104]) await show(value, false)
  await show(104, true)
  await show(108, true)
  await show(104, true)
  await show(110, true, 2000)
  expect(taken).toEqual([])
})

test('while something is being written the pan may empty, and the weight waits until it is kept', async () => {
  busy = true
  await show(0, true)
  for (let i = 0; i < 6; i++) await show(100, true)
  expect(taken).toEqual([])
  busy = false
  for (let i = 0; i < 6; i++) await show(100, true)
  expect(taken).toEqual([100])
})
