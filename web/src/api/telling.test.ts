import { whileAsked } from './telling'

test('what a worker tells is heard until its answer is there, also where that is a failure', async () => {
  const heard: number[] = []
  let late: (share: number) => void = () => undefined
  const told = (share: number): void => void heard.push(share)
  const answer = await whileAsked(told, (tell) => {
    tell(0.5)
    late = tell
    return Promise.resolve('read')
  })
  late(1)
  expect([answer, heard]).toEqual(['read', [0.5]])
  const broken = whileAsked(told, (tell) => {
    late = tell
    return Promise.reject(new Error('broken'))
  })
  await expect(broken).rejects.toThrow('broken')
  late(1)
  expect(heard).toEqual([0.5])
})
