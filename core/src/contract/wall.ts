import { z } from 'zod'
import { plan } from '../process/plan'
import { keptEvent } from '../run/runEvent'
import { id, idParams, name, page } from '../shape/common'
import { endpoint } from './endpoint'

/** A key that opens the wall page to whoever has it, until it is revoked. */
const wallKey = z.object({
  id,
  name: z.string(),
  by: z.string(),
  at: z.number(),
  revokedAt: z.number().nullable(),
})
const token = z.string().min(20).max(100)

/** What a screen on the wall shows. */
const wall = z.object({
  now: z.number(),
  darkroom: z.string(),
  zone: z.string(),
  /** what stands ready to pour, and how much of its life is left, as a share of 1; null where it has none to count */
  jugs: z.array(
    z.object({
      label: z.string(),
      name: z.string(),
      family: z.string(),
      volumeMl: z.number(),
      left: z.number().nullable(),
      ageDays: z.number(),
      due: z.array(z.string()),
    }),
  ),
  /** developing times of films that wait, at the developer's temperature */
  times: z.array(
    z.object({
      film: z.string(),
      ei: z.int(),
      developer: z.string(),
      parts: z.array(z.number()),
      seconds: z.number(),
      temperatureC: z.number(),
    }),
  ),
  /** where that temperature was read, and when; null where it is only what the chart has */
  measured: z.object({ by: z.string(), at: z.number() }).nullable(),
  runs: z.array(z.object({ number: z.int(), vessel: z.string(), owners: z.array(z.string()), plan, events: z.array(keptEvent) })),
  next: z.array(z.object({ owners: z.array(z.string()), what: z.string(), vessel: z.string(), at: z.number() })),
  /** of films that hang */
  hanging: z.array(z.object({ owner: z.string(), hanger: z.int().nullable(), dryAt: z.number() })),
})

export const wallApi = {
  keys: endpoint('GET', '/api/walls', 'technician', 'Keys of screens on the wall', { response: page(wallKey) }),
  make: endpoint('POST', '/api/walls', 'technician', 'A key for a screen on the wall; it is shown once', {
    body: z.strictObject({ id, name }),
    response: z.object({ key: wallKey, token }),
    secret: true,
  }),
  revoke: endpoint('POST', '/api/walls/:id/revoke', 'technician', 'A key opens nothing any more', { params: idParams, response: wallKey }),
  show: endpoint('GET', '/api/wall/:token', 'public', 'What a screen on the wall shows, for whoever has its key', {
    params: z.strictObject({ token }),
    response: wall,
  }),
}
export type Wall = z.infer<typeof wall>
export type WallKey = z.infer<typeof wallKey>
