import type { usePage as UsePage } from './usePage'

jest.mock('./live', () => ({ connected: { value: true }, onChange: () => () => undefined }))
jest.mock('vue', () => ({ ...jest.requireActual<object>('vue'), onBeforeUnmount: () => undefined }))
const { usePage } = jest.requireActual<{ usePage: typeof UsePage }>('./usePage')

const moment = () => new Promise((resolve) => setTimeout(resolve, 5))

test('what a write answered is not taken back by what was asked for before it', async () => {
  const late: ((answer: string) => void)[] = []
  const page = usePage(() => new Promise<string>((resolve) => late.push(resolve)))
  void page.load()
  page.take('dry')
  late[0]?.('drying')
  await moment()
  expect(page.value.value).toBe('dry')
  // what is asked for after it counts again
  void page.load()
  late[1]?.('under the lamp')
  await moment()
  expect(page.value.value).toBe('under the lamp')
})
