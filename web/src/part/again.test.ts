import { again, fileIn } from './again'

const failing = (times: number) => {
  let tries = 0
  return { load: () => (++tries <= times ? Promise.reject(new Error(`no line, ${tries}`)) : Promise.resolve('there')), tries: () => tries }
}

test('what does not come at once is asked for again, as often as there are pauses, and then it is said', async () => {
  const [soon, never] = [failing(2), failing(9)]
  expect(await again(soon.load, { pauses: [1, 1] })).toBe('there')
  expect(soon.tries()).toBe(3)
  await expect(again(never.load, { pauses: [1, 1] })).rejects.toThrow('no line, 3')
})

test('a browser that keeps it that a file did not come is asked for the same file by another name', async () => {
  const asked: string[] = []
  const bring = (url: string): Promise<unknown> => {
    asked.push(url)
    return asked.length < 2 ? Promise.reject(new Error(`Failed to fetch dynamically imported module: ${url}`)) : Promise.resolve('there')
  }
  const load = () => Promise.reject(new Error('Failed to fetch dynamically imported module: http://tide:4780/assets/PourPanel-x1.js'))
  expect(await again<unknown>(load, { pauses: [1, 1, 1], bring, origin: 'http://tide:4780' })).toBe('there')
  expect(asked).toEqual(['http://tide:4780/assets/PourPanel-x1.js?again=1', 'http://tide:4780/assets/PourPanel-x1.js?again=2'])
  // another's file is not asked for, and neither is one that is not named
  expect(fileIn(new Error('error loading http://elsewhere/a.js'), 'http://tide:4780')).toBeUndefined()
  expect(fileIn(new Error('Importing a module script failed.'), 'http://tide:4780')).toBeUndefined()
})
