import { z } from 'zod'
import { kitBody } from '../kit/kitBody'
import { done, id, idParams, listQuery, page, version } from '../shape/common'
import { endpoint } from './endpoint'

/** A kit that was mixed: its bottles, and what went through them. */
const set = z.object({
  id,
  number: z.int(),
  begunAt: z.number(),
  begunBy: z.string(),
  /** as its leaflet was when it was begun */
  body: kitBody,
  used: z.number(),
  rolls: z.number(),
  rollsLeft: z.number(),
  bottles: z.array(z.object({ id, label: z.string(), formulaId: id, retiredAt: z.number().nullable() })),
  /** mixes of it that are at the scales */
  mixes: z.array(z.object({ id, formulaId: id })),
})
const kit = z.object({ id, version, body: kitBody, sets: z.array(set) })

export const kitApi = {
  list: endpoint('GET', '/api/kits', 'technician', 'Kits with those that were mixed', { query: listQuery, response: page(kit) }),
  add: endpoint('POST', '/api/kits', 'technician', 'Write down a kit by its leaflet', {
    body: z.strictObject({ id, body: kitBody }),
    response: kit,
  }),
  change: endpoint('PUT', '/api/kits/:id', 'technician', 'Change a kit; those that are mixed keep theirs', {
    params: idParams,
    body: z.strictObject({ version, body: kitBody }),
    response: kit,
  }),
  begin: endpoint('POST', '/api/kits/:id/sets', 'technician', 'Begin to mix a kit, bath by bath', {
    params: idParams,
    body: z.strictObject({ id }),
    response: kit,
  }),
  putIn: endpoint('POST', '/api/kit-sets/:id/bottles', 'technician', 'A bottle is a bath of that kit', {
    params: idParams,
    body: z.strictObject({ bottleId: id }),
    response: done,
  }),
}
export type Kit = z.infer<typeof kit>
export type KitSet = z.infer<typeof set>
