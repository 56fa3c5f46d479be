import { call } from '../api/call'
import { useFound } from './useFound'

jest.mock('../api/call', () => ({ ...jest.requireActual<object>('../api/call'), call: jest.fn() }))
const calls = jest.mocked(call)

test('words typed while an answer is on its way are asked for after it, and the last are what is shown', async () => {
  const answers: (() => void)[] = []
  calls.mockImplementation(
    ((_: unknown, { query }: { query: { find: string } }) =>
      new Promise((resolve) => answers.push(() => resolve({ rows: [{ id: query.find, state: 'waiting' }] })))) as never,
  )
  const added: string[] = []
  const { ask, kept } = useFound({ addFound: (more) => void added.push(...more.map((one) => one.id)) })
  const first = ask('hu')
  expect(await ask('huw')).toBe(false)
  answers.shift()?.()
  await new Promise((resolve) => setTimeout(resolve))
  answers.shift()?.()
  await first
  expect([added, [...kept.value]]).toEqual([['hu', 'huw'], ['huw']])
})
