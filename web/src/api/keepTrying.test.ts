import { ref } from 'vue'
import { CallError } from './call'
import type { keepTrying as KeepTrying } from './keepTrying'
import { latest } from './latest'

const mockConnected = ref(true)
jest.mock('./live', () => ({ connected: mockConnected, onChange: () => () => undefined }))
const { keepTrying } = jest.requireActual<{ keepTrying: typeof KeepTrying }>('./keepTrying')

const lost = new CallError(0, { code: 'offline', message: 'The connection is lost.' })
const moment = () => new Promise((resolve) => setTimeout(resolve, 5))
beforeEach(() => (mockConnected.value = true))

test('tries again when the server is heard again, and answers then', async () => {
  mockConnected.value = false
  const told: string[] = []
  let tries = 0
  const answer = keepTrying(
    () => (tries++ === 0 ? Promise.reject(lost) : Promise.resolve('there')),
    (said) => void told.push(said),
  )
  await moment()
  expect([tries, told]).toEqual([1, ['The connection is lost.']])
  mockConnected.value = true
  expect(await answer).toBe('there')
})

test('what would be refused again is not asked again', async () => {
  let tries = 0
  const refused = new CallError(404, { code: 'missing', message: 'There is no such bottle.' })
  await expect(keepTrying(() => (tries++, Promise.reject(refused)), jest.fn())).rejects.toBe(refused)
  expect(tries).toBe(1)
})

test('only the newest counts: one before it ends in silence, in a pause as in an answer that comes late', async () => {
  const turns = latest()
  const told: string[] = []
  const say = (said: string) => void told.push(said)
  const pausing = keepTrying(() => Promise.reject(lost), say, turns.begin())
  await moment()
  let cancelled: AbortSignal | undefined
  const answering = keepTrying((signal) => ((cancelled = signal), moment().then(() => 'old')), say, turns.begin())
  const newest = keepTrying(() => Promise.resolve('new'), say, turns.begin())
  expect(await Promise.all([pausing, answering, newest])).toEqual([null, null, 'new'])
  expect([cancelled?.aborted, told]).toEqual([true, ['The connection is lost.']])
})
