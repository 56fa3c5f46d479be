import { z } from 'zod'
import { celsius, done, id, idParams, listQuery, name, note, page, parts, positive, version } from '../shape/common'
import { endpoint } from './endpoint'

export const chartBody = {
  film: name,
  formulaId: id,
  parts,
  ei: z.int().min(1).max(25_600),
  temperatureC: celsius,
  seconds: positive.max(86_400),
  source: z.string().trim().max(200),
  note,
}
const chartRow = z.object({
  id,
  version,
  ...chartBody,
  by: z.string(),
  /** who developed a film by it, when, and how that came out; null where nobody has said so */
  tried: z.object({ at: z.number(), by: z.string(), note: z.string() }).nullable(),
})
export const chartApi = {
  list: endpoint('GET', '/api/chart', 'technician', 'The development chart', { query: listQuery, response: page(chartRow) }),
  add: endpoint('POST', '/api/chart', 'technician', 'Add a row to the development chart', {
    body: z.strictObject({ id, ...chartBody }),
    response: chartRow,
  }),
  change: endpoint('PUT', '/api/chart/:id', 'technician', 'Mend a row of the development chart', {
    params: idParams,
    body: z.strictObject({ version, ...chartBody }),
    response: chartRow,
  }),
  tried: endpoint('POST', '/api/chart/:id/tried', 'technician', 'A film was developed by this row: how it came out', {
    params: idParams,
    body: z.strictObject({ version, note }),
    response: chartRow,
  }),
  remove: endpoint('DELETE', '/api/chart/:id', 'technician', 'Take a row out of the development chart', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
}
export type ChartRow = z.infer<typeof chartRow>
