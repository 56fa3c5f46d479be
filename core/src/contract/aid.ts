import { z } from 'zod'
import { incidentBody } from '../aid/incident'
import { done, id, idParams, listQuery, page, pictureQuery, reason, version } from '../shape/common'
import { wasteFamilies } from '../waste/drumIds'
import { endpoint } from './endpoint'
import { pictureBytes } from './proof'

const substance = z.object({ family: z.enum(wasteFamilies).nullable(), corrosive: z.boolean(), throughSkin: z.array(z.string()) })
const incident = z.object({
  ...{ id, version, writtenAt: z.number(), by: z.string(), mine: z.boolean(), body: incidentBody },
  /** names of those who were there */
  present: z.array(z.string()),
  photo: z.boolean(),
  /** ms since when the kit is full again; null while it is not */
  refilledAt: z.number().nullable(),
  ...{ struckAt: z.number().nullable(), struckWhy: z.string().nullable() },
})

export const aidApi = {
  numbers: endpoint('GET', '/api/aid', 'public', 'Whom to call: the emergency service and the poison centre', {
    response: z.object({ emergency: z.string(), poison: z.string() }),
  }),
  bottles: endpoint('GET', '/api/aid/bottles', 'member', 'What help has to know of what is in bottles', {
    query: z.strictObject({ ids: z.string().max(2000).default('') }),
    response: z.object({ bottles: z.record(id, substance) }),
  }),
  cards: endpoint('GET', '/api/aid/cards', 'member', 'Spill cards and first aid, on paper', { file: true }),
  incidents: endpoint('GET', '/api/incidents', 'technician', 'What was spilled, the newest first', {
    query: listQuery,
    response: page(incident),
  }),
  write: endpoint('POST', '/api/incidents', 'member', 'Something was spilled', {
    body: z.strictObject({ id, body: incidentBody }),
    response: incident,
  }),
  refilled: endpoint('POST', '/api/incidents/:id/refilled', 'technician', 'The spill kit is full again', {
    params: idParams,
    body: z.strictObject({ version }),
    response: incident,
  }),
  strike: endpoint('POST', '/api/incidents/:id/strike', 'technician', 'It was written down wrongly', {
    params: idParams,
    body: z.strictObject({ version, why: reason }),
    response: incident,
  }),
  putPhoto: endpoint('PUT', '/api/incidents/:id/photo', 'member', 'A photograph of what was spilled', {
    params: idParams,
    body: z.strictObject({}),
    upload: pictureBytes,
    response: done,
  }),
  getPhoto: endpoint('GET', '/api/incidents/:id/photo', 'technician', 'The photograph of what was spilled', {
    params: idParams,
    query: pictureQuery,
    file: true,
  }),
}
export type Incident = z.infer<typeof incident>
