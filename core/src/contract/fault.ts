import { z } from 'zod'
import { faultThings } from '../evening/fault'
import { id, idParams, listQuery, name, page, reason, version } from '../shape/common'
import { endpoint } from './endpoint'

const fault = z.object({
  id,
  version,
  thing: z.enum(faultThings),
  /** of a tank or a bath that is known */
  thingId: id.nullable(),
  name: z.string(),
  what: z.string(),
  /** in doubt until somebody who knows has looked */
  state: z.enum(['doubt', 'out', 'closed']),
  by: z.string(),
  at: z.number(),
  /** the check that closed it, by whom and when */
  check: z.string().nullable(),
  closedBy: z.string().nullable(),
  closedAt: z.number().nullable(),
})

export const faultApi = {
  list: endpoint('GET', '/api/faults', 'member', 'What is in doubt or out of order, the newest first; with `closed` also what was mended', {
    query: listQuery.extend({ which: z.enum(['open', 'closed']).default('open') }),
    response: page(fault),
  }),
  report: endpoint('POST', '/api/faults', 'member', 'Something is wrong with a tank, a bath, a place', {
    body: z.strictObject({ id, thing: z.enum(faultThings), thingId: id.nullable(), name, what: reason }),
    response: fault,
  }),
  judge: endpoint('POST', '/api/faults/:id/judge', 'technician', 'In doubt, or out of order: what is out is not planned with', {
    params: idParams,
    body: z.strictObject({ version, state: z.enum(['doubt', 'out']) }),
    response: fault,
  }),
  close: endpoint('POST', '/api/faults/:id/close', 'technician', 'A named check has shown that it is right again', {
    params: idParams,
    body: z.strictObject({ version, check: reason }),
    response: fault,
  }),
}
export type Fault = z.infer<typeof fault>
