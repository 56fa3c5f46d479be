import { z } from 'zod'
import { permissionTerms } from '../permission/terms'
import { done, id, idParams, listQuery, name, page, version } from '../shape/common'
import { chartApi } from './chart'
import { endpoint } from './endpoint'
import { runApi } from './run'

/** What a member may develop by themselves. */
const row = z.object({
  id,
  version,
  personId: id,
  person: z.string(),
  processName: name,
  ...permissionTerms.shape,
  /** what is to be done before it counts, as a sentence to the member; empty where it counts */
  before: z.string(),
  by: z.string(),
  at: z.number(),
})

export const permissionApi = {
  list: endpoint('GET', '/api/permissions', 'technician', 'Who may develop what by themselves', {
    query: listQuery.extend({ personId: id.optional() }),
    response: page(row),
  }),
  mine: endpoint('GET', '/api/permissions/mine', 'member', 'What one may develop by oneself, and what is needed to plan it', {
    response: z.object({
      permissions: z.array(row),
      vessels: runApi.vessels.response.shape.rows,
      chart: chartApi.list.response.shape.rows,
      /** of what formula a formula is only a part, by their ids */
      partOf: z.record(z.string(), z.string()),
      /** whose films may be developed: oneself, and others where that is allowed */
      people: z.array(z.object({ id, name })),
    }),
  }),
  give: endpoint('POST', '/api/permissions', 'technician', 'Allow a member to develop by themselves', {
    body: z.strictObject({ id, personId: id, ...permissionTerms.shape }),
    response: row,
  }),
  change: endpoint('PUT', '/api/permissions/:id', 'technician', 'Allow more, or less', {
    params: idParams,
    body: z.strictObject({ version, ...permissionTerms.shape }),
    response: row,
  }),
  end: endpoint('DELETE', '/api/permissions/:id', 'technician', 'End a permission: what is in a tank is still brought to its end', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
}
export type Permission = z.infer<typeof row>
