import { gathering } from './gathering'

const settled = () => new Promise((resolve) => setTimeout(resolve, 30))

test('what is told within a moment is dealt with in one go, and what comes meanwhile in the next', async () => {
  const rounds: number[][] = []
  let free = (): void => undefined
  const { tell, end } = gathering<number>(5, async (told) => {
    rounds.push(told)
    await new Promise<void>((resolve) => (free = resolve))
  })
  for (const one of [1, 2, 3]) tell(one)
  await settled()
  for (const one of [4, 5]) tell(one)
  await settled()
  expect(rounds).toEqual([[1, 2, 3]])
  free()
  await settled()
  expect(rounds).toEqual([
    [1, 2, 3],
    [4, 5],
  ])
  free()
  end()
})

test('a round that failed keeps nobody from the next, and an end is one', async () => {
  const rounds: number[][] = []
  const { tell, end } = gathering<number>(1, (told) => {
    rounds.push(told)
    return Promise.reject(new Error('no database'))
  })
  tell(1)
  await settled()
  tell(2)
  await settled()
  end()
  tell(3)
  await settled()
  expect(rounds).toEqual([[1], [2]])
})
