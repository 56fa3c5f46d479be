import { z } from 'zod'
import { id, listQuery, page, positive, version } from './common'
import { endpoint } from './endpoint'

export const jar = z.object({
  id,
  version,
  code: z.string(),
  chemical: z.string(),
  lot: z.string(),
  place: z.string(),
  grams: z.number(),
  openedAt: z.number().nullable(),
})
export const jarApi = {
  list: endpoint('GET', '/api/jars', 'technician', 'The jars of raw chemicals with what they hold', {
    query: listQuery,
    response: page(jar),
  }),
  receive: endpoint('POST', '/api/jars', 'technician', 'A new jar on the shelf', {
    body: z.strictObject({
      id,
      entryId: id,
      chemical: z.string().min(1).max(80),
      lot: z.string().trim().max(60),
      place: z.string().trim().max(60),
      grams: positive.max(100_000),
    }),
    response: jar,
  }),
}
export type Jar = z.infer<typeof jar>
