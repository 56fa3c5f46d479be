import { pauseMs } from '@selvrin/core'
import { stayConnected } from './staying'

test('pauses grow to a limit, and two who lost the same thing do not come back together', () => {
  const pauses = [0, 1, 2, 3, 10].map((failed) => [pauseMs(failed, () => 0), pauseMs(failed, () => 1)])
  expect(pauses).toEqual([
    [250, 500],
    [500, 1000],
    [1000, 2000],
    [2000, 4000],
    [7500, 15_000],
  ])
})

test('what fails or is lost is dialled again, once for each loss; what has ended is not', async () => {
  jest.useFakeTimers()
  const dialled: (() => void)[] = []
  let fails = 2
  const end = stayConnected(async (lost) => {
    dialled.push(lost)
    if (fails-- > 0) throw new Error('nobody there')
  })
  for (let i = 0; i < 5; i++) await jest.advanceTimersByTimeAsync(20_000)
  expect(dialled).toHaveLength(3)
  dialled[2]?.()
  dialled[2]?.()
  await jest.advanceTimersByTimeAsync(600)
  expect(dialled).toHaveLength(4)
  end()
  dialled[3]?.()
  await jest.advanceTimersByTimeAsync(60_000)
  expect(dialled).toHaveLength(4)
  jest.useRealTimers()
})
