import { z } from 'zod'
import { wasteFamilies } from '../waste/drumIds'
import { endpoint } from './endpoint'

const amount = z.object({ ml: z.number(), grams: z.number() })
const report = z.object({
  year: z.int(),
  /** IANA; days are the darkroom's */
  zone: z.string(),
  /** years anything was written in, the newest first */
  years: z.array(z.int()),
  rows: z.array(
    z.object({
      family: z.enum(wasteFamilies),
      drain: z.boolean(),
      months: z.array(amount),
      ml: z.number(),
      grams: z.number(),
      silverG: z.number(),
    }),
  ),
  recoveries: z.array(z.object({ at: z.number(), method: z.string(), silverG: z.number() })),
  pickups: z.array(
    z.object({
      ...{ at: z.number(), number: z.int(), contractor: z.string(), licence: z.string(), receipt: z.string() },
      ...{ families: z.array(z.enum(wasteFamilies)), kg: z.number() },
    }),
  ),
  /** nobody's name stands in it */
  incidents: z.array(z.object({ at: z.number(), what: z.string(), family: z.enum(wasteFamilies).nullable(), ml: z.number().nullable() })),
  /** what stands in drums now and was not collected */
  standing: amount.extend({ drums: z.int() }),
})
const of = z.strictObject({ year: z.coerce.number().int().min(1990).max(2200).optional() })

export const yearApi = {
  get: endpoint('GET', '/api/year', 'technician', 'The year of the sink, for the board and the authority', { query: of, response: report }),
  paper: endpoint('GET', '/api/year/paper', 'technician', 'The year of the sink on one page, as PDF', { query: of, file: true }),
}
export type YearReport = z.infer<typeof report>
