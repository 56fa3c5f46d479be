import { again } from './again'

const failing = (times: number) => {
  let tries = 0
  return { load: () => (++tries <= times ? Promise.reject(new Error(`no line, ${tries}`)) : Promise.resolve('there')), tries: () => tries }
}

test('what does not come at once is asked for again, as often as there are pauses, and then it is said', async () => {
  const [soon, never] = [failing(2), failing(9)]
  expect(await again(soon.load, [1, 1])).toBe('there')
  expect(soon.tries()).toBe(3)
  await expect(again(never.load, [1, 1])).rejects.toThrow('no line, 3')
})
