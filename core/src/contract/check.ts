import { z } from 'zod'
import { checkResult, fixtureBody } from '../check/fixture'
import { done, id, idParams, version } from '../shape/common'
import { endpoint } from './endpoint'

const fixture = z.object({
  ...{ id, version, body: fixtureBody },
  standing: z.object({
    standing: z.enum(['good', 'due', 'overdue', 'failed', 'never']),
    ...{ dueAt: z.number().nullable(), says: z.array(z.string()) },
  }),
  /** the newest first, as many as anybody looks at */
  checks: z.array(z.object({ id, at: z.number(), by: z.string(), result: checkResult })),
})

export const checkApi = {
  list: endpoint('GET', '/api/fixtures', 'technician', 'Eyewash, ventilation, mains and gloves, and what is blocked by them', {
    response: z.object({
      fixtures: z.array(fixture),
      blocks: z.object({ eyewash: z.string().nullable(), ventilation: z.string().nullable(), mains: z.string().nullable() }),
    }),
  }),
  add: endpoint('POST', '/api/fixtures', 'technician', 'A thing of the darkroom’s safety', {
    body: z.strictObject({ id, body: fixtureBody }),
    response: fixture,
  }),
  change: endpoint('PUT', '/api/fixtures/:id', 'technician', 'Where it is, how large', {
    params: idParams,
    body: z.strictObject({ version, body: fixtureBody }),
    response: fixture,
  }),
  remove: endpoint('POST', '/api/fixtures/:id/remove', 'technician', 'It is not there any more', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
  check: endpoint('POST', '/api/fixtures/:id/checks', 'technician', 'It was looked at', {
    params: idParams,
    body: z.strictObject({ id, result: checkResult }),
    response: fixture,
  }),
}
export type Fixture = z.infer<typeof fixture>
