import { z } from 'zod'
import { processBody } from '../process/processBody'
import { id, idParams, listQuery, page, version } from '../shape/common'
import { endpoint } from './endpoint'

const said = { versionId: id, number: z.int(), changedBy: z.string(), changedAt: z.number(), body: processBody }
const row = z.object({
  id,
  version,
  ...said,
  /** one every house begins with */
  shipped: z.boolean(),
})
export const processApi = {
  list: endpoint('GET', '/api/processes', 'member', 'All processes in their newest version', { query: listQuery, response: page(row) }),
  get: endpoint('GET', '/api/processes/:id', 'technician', 'One process with its earlier versions', {
    params: idParams,
    response: row.extend({ versions: z.array(z.object(said)) }),
  }),
  version: endpoint('GET', '/api/process-versions/:id', 'technician', 'One version of a process, as it was', {
    params: idParams,
    response: row,
  }),
  create: endpoint('POST', '/api/processes', 'technician', 'Write a new process', {
    bodyBytes: 256_000,
    body: z.strictObject({ id, versionId: id, body: processBody }),
    response: row,
  }),
  revise: endpoint('POST', '/api/processes/:id/versions', 'technician', 'A new version; what was planned with one before keeps its own', {
    params: idParams,
    bodyBytes: 256_000,
    body: z.strictObject({ version, versionId: id, body: processBody }),
    response: row,
  }),
}
export type ProcessRow = z.infer<typeof row>
export type ProcessVersion = z.infer<z.ZodObject<typeof said>>
