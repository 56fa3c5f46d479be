import { z } from 'zod'
import { finding } from '../finding'
import { practised, practisedLoading } from '../practice/practised'
import { plan } from '../process/plan'
import { key } from '../process/step'
import { id, idParams, listQuery, page } from '../shape/common'
import { endpoint } from './endpoint'

/** Something that was practised, and what it would have done to the film. */
const row = z.object({
  id,
  personId: id,
  person: z.string(),
  at: z.number(),
  kind: z.enum(['run', 'loading']),
  /** of a run */
  processName: z.string().nullable(),
  speed: z.number().nullable(),
  /** of a run, of 100 */
  score: z.int().nullable(),
  loading: practisedLoading.nullable(),
  findings: z.array(finding.omit({ step: true })),
  /** nothing would have happened to the film */
  clean: z.boolean(),
})

export const practiceApi = {
  list: endpoint('GET', '/api/practices', 'member', 'What was practised, the newest first; a member’s own, of everybody for a technician', {
    query: listQuery.extend({ personId: id.optional() }),
    response: page(row),
  }),
  get: endpoint('GET', '/api/practices/:id', 'member', 'A run that was practised (members: their own), step by step', {
    params: idParams,
    response: z.object({ row, plan, practised }),
  }),
  run: endpoint(
    'POST',
    '/api/practices',
    'member',
    'A run that was practised dry: what was done, from which follows what it would have done',
    {
      bodyBytes: 200_000,
      body: z.strictObject({
        id,
        processVersionId: id,
        options: z.record(key, z.boolean()),
        agitation: z.string().max(40),
        practised,
      }),
      response: row,
    },
  ),
  loading: endpoint('POST', '/api/practices/loading', 'member', 'A reel that was loaded for practice, and how it went', {
    body: z.strictObject({ id, loading: practisedLoading }),
    response: row,
  }),
}
export type PracticeRow = z.infer<typeof row>
