import { z } from 'zod'
import { id, idParams } from '../shape/common'
import { endpoint } from './endpoint'

/** Sheets of labels by what is printed on their box: millimetres and how many. */
export const labelSheets = ['plain', 'a4-24', 'a4-14', 'letter-30', 'letter-10'] as const
const ids = z
  .string()
  .max(4000)
  .transform((text) => text.split(',').filter(Boolean))
  .pipe(z.array(id).min(1).max(100))

export const printApi = {
  labels: endpoint('GET', '/api/print/labels', 'technician', 'Labels of bottles and jars as PDF, each with a code that opens it', {
    query: z.strictObject({
      bottles: ids.optional(),
      jars: ids.optional(),
      sheet: z.enum(labelSheets).default('plain'),
      from: z.coerce.number().int().min(1).max(60).default(1),
    }),
    file: true,
  }),
  card: endpoint('GET', '/api/print/formulas/:id', 'technician', 'The bench card of a formula at a volume, with boxes to tick, as PDF', {
    params: idParams,
    query: z.strictObject({ ml: z.coerce.number().gt(0).max(1_000_000).optional() }),
    file: true,
  }),
  run: endpoint(
    'GET',
    '/api/print/runs/:id',
    'member',
    'The sheet of a run: its beakers, its steps with the clock of each, boxes to tick, as PDF',
    {
      params: idParams,
      file: true,
    },
  ),
  drum: endpoint('GET', '/api/print/drums/:id', 'technician', 'The label of a drum under the harmonised system, as PDF', {
    params: idParams,
    file: true,
  }),
  pickup: endpoint('GET', '/api/print/pickups/:id', 'technician', 'The note a contractor is handed with the drums, as PDF', {
    params: idParams,
    file: true,
  }),
  sheet: endpoint('GET', '/api/print/prints/:id', 'member', 'A print’s own sheet on A5: what it was made with and each try, as PDF', {
    params: idParams,
    file: true,
  }),
  order: endpoint('GET', '/api/print/orders/:id', 'member', 'The slip of an order, with a code that opens it, as PDF', {
    params: idParams,
    query: z.strictObject({ on: z.enum(['label', 'a6']).default('label') }),
    file: true,
  }),
}
export type LabelSheet = (typeof labelSheets)[number]
