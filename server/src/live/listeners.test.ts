import type { Response } from 'express'
import type { House } from '../house/house'
import { everyone, listenersOf } from './listeners'

const who = (id: string) => ({ id, name: id, role: 'technician' as const, tokenHash: id })
const browser = (waiting: number) => ({ writableLength: waiting, write: jest.fn(), end: jest.fn() }) as unknown as Response

test('a browser that does not read any more is let go, and the others hear on', () => {
  const listeners = listenersOf({} as House)
  const [awake, asleep] = [browser(0), browser(2_000_000)]
  listeners.add(awake, who('a'))
  listeners.add(asleep, who('b'))
  listeners.say('data: {}\n\n', everyone)
  expect([jest.mocked(awake.write).mock.calls.length, jest.mocked(asleep.write).mock.calls.length]).toEqual([1, 0])
  expect(asleep.end).toHaveBeenCalled()
  expect(listeners.some((one) => one.id === 'b')).toBe(false)
})

test('what one may not hear is not written to them', () => {
  const listeners = listenersOf({} as House)
  const member = browser(0)
  listeners.add(member, who('m'))
  listeners.say('data: {}\n\n', (one) => one.id !== 'm')
  expect(member.write).not.toHaveBeenCalled()
})
