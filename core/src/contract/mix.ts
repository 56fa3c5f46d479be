import { z } from 'zod'
import { celsius, done, id, idParams, listQuery, note, page, positive, reason } from '../shape/common'
import { mixEvent } from '../mix/mixEvent'
import { endpoint } from './endpoint'
import { formulaVersion } from './formula'

const step = z.int().min(0).max(59)

const mixSummary = z.object({
  id,
  state: z.enum(['open', 'done', 'abandoned']),
  formulaId: id,
  formulaName: z.string(),
  family: z.string(),
  finalMl: z.number(),
  by: z.string(),
  /** whose hands weigh, where it is not whoever began it */
  hand: z.object({ id, name: z.string() }).nullable(),
  startedAt: z.number(),
})
const record = z.object({
  step,
  chemical: z.string(),
  lot: z.string(),
  unit: z.enum(['g', 'ml']),
  target: z.number(),
  tolerance: z.number(),
  actual: z.number(),
  by: z.string(),
  device: z.string().nullable(),
  checkedBy: z.string().nullable(),
})
const mix = mixSummary.extend({
  formula: formulaVersion,
  secondCheck: z.boolean(),
  note: z.string(),
  overruled: z.string().nullable(),
  events: z.array(mixEvent),
  /** line by line what was weighed, by whom, and who looked at it */
  record: z.array(record),
  /** pH of the batch and the °C it was read at, once it is bottled */
  batchPh: z.object({ ph: z.number().nullable(), celsius: z.number().nullable() }).nullable(),
  /** what it was bottled in, once it is done */
  bottleIds: z.array(id),
})
const filled = z
  .strictObject({ id, sizeMl: positive.max(100_000), ml: positive.max(100_000) })
  .refine((bottle) => bottle.ml <= bottle.sizeMl, 'A bottle holds no more than its size.')

export const mixApi = {
  list: endpoint('GET', '/api/mixes', 'technician', 'Mixes that are open, newest first', { query: listQuery, response: page(mixSummary) }),
  get: endpoint('GET', '/api/mixes/:id', 'technician', 'One mix with all that happened', { params: idParams, response: mix }),
  start: endpoint('POST', '/api/mixes', 'technician', 'Begin a guided mix', {
    body: z.strictObject({
      id,
      formulaId: id,
      finalMl: positive,
      /** why a part of a pack is mixed all the same */ note: note.default(''),
      /** of which kit it is a bath */ kitSetId: id.optional(),
      /** why it is mixed in spite of what the rules of mixing say */
      overrule: reason.optional(),
      /** whose hands weigh; whoever is signed in where nobody is named */
      handId: id.optional(),
    }),
    response: mix,
  }),
  record: endpoint('POST', '/api/mixes/:id/events', 'technician', 'What happened at the bench; each id counts once', {
    params: idParams,
    bodyBytes: 256_000,
    body: z.strictObject({ events: z.array(mixEvent).min(1).max(50) }),
    response: mix,
  }),
  check: endpoint(
    'POST',
    '/api/mixes/:id/checks',
    'technician',
    'A second person has looked at the weight: signed in elsewhere, or by password here',
    {
      params: idParams,
      body: z.strictObject({
        eventId: id,
        step,
        login: z.string().trim().toLowerCase().max(60).optional(),
        password: z.string().max(200).optional(),
      }),
      response: mix,
      password: true,
    },
  ),
  finish: endpoint(
    'POST',
    '/api/mixes/:id/finish',
    'technician',
    'Bottle it: takes the chemicals from the jars, puts the bottles on the shelf',
    {
      params: idParams,
      body: z.strictObject({ batchId: id, bottles: z.array(filled).min(1).max(24), note: note.default('') }),
      response: z.object({ bottleIds: z.array(id), labels: z.array(z.string()) }),
    },
  ),
  putRightPh: endpoint('PUT', '/api/mixes/:id/ph', 'technician', 'The pH of a batch that was written wrong, or was not taken', {
    params: idParams,
    body: z.strictObject({ ph: z.number().min(0).max(14).nullable(), celsius: celsius.nullable() }),
    response: mix,
  }),
  abandon: endpoint('POST', '/api/mixes/:id/abandon', 'technician', 'Pour it away and begin again; what was weighed leaves the jars', {
    params: idParams,
    body: z.strictObject({ reason }),
    response: done,
  }),
}
export type Mix = z.infer<typeof mix>
export type MixSummary = z.infer<typeof mixSummary>
