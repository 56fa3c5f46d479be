import { z } from 'zod'
import { celsius, id, listQuery, name, note, page, parts, positive } from './common'
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
export const chartRow = z.object({ id, ...chartBody, by: z.string() })
export const chartApi = {
  list: endpoint('GET', '/api/chart', 'technician', 'The development chart', { query: listQuery, response: page(chartRow) }),
  add: endpoint('POST', '/api/chart', 'technician', 'Add a row to the development chart', {
    body: z.strictObject({ id, ...chartBody }),
    response: chartRow,
  }),
}
export type ChartRow = z.infer<typeof chartRow>
