import { z } from 'zod'
import { version } from '../shape/common'
import { weeks } from '../weeks/result'
import { endpoint } from './endpoint'
import { orderRow } from './order'

/** How far the spread of orders over the coming weeks is. */
const weeksStates = ['none', 'asked', 'running', 'done', 'failed'] as const
const page = z.object({
  version,
  state: z.enum(weeksStates),
  /** steps done, of so many */
  ...{ done: z.int(), of: z.int() },
  askedBy: z.string().nullable(),
  askedAt: z.number().nullable(),
  finishedAt: z.number().nullable(),
  /** what came of the last that was finished */
  result: weeks.nullable(),
  /** why the last that was tried came to nothing */
  error: z.string().nullable(),
  /** orders that are named in it and still wait */
  orders: z.array(orderRow),
  /** how many print on each day of the calendar */
  printing: z.record(z.string(), z.int()),
})

export const weeksApi = {
  get: endpoint('GET', '/api/weeks', 'technician', 'Orders over the openings of the coming weeks, and what is to be mixed for them', {
    response: page,
  }),
  spread: endpoint('POST', '/api/weeks', 'technician', 'Spread the orders anew', { body: z.strictObject({}), response: page }),
  promise: endpoint('POST', '/api/weeks/promise', 'technician', 'Promise every order the day it was spread to', {
    body: z.strictObject({ version }),
    response: page,
  }),
}
export type WeeksPage = z.infer<typeof page>
