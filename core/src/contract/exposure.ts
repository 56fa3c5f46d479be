import { z } from 'zod'
import { exposureBody, readerBody } from '../exposure/note'
import { done, id, idParams, version } from '../shape/common'
import { endpoint } from './endpoint'

const exposureNote = z.object({
  ...{ id, version, person: z.string(), mine: z.boolean(), writtenAt: z.number(), by: z.string() },
  body: exposureBody,
})

/** Writes answer nothing of what was written, and their bodies are not kept for repeated requests: it is health data. */
export const exposureApi = {
  page: endpoint(
    'GET',
    '/api/exposures',
    'member',
    'One’s own notes of exposure, those of others for named technicians, and who reads them',
    {
      response: z.object({
        notes: z.array(exposureNote),
        /** who may read them beside their owners */
        readers: z.array(z.object({ id, name: z.string(), namedBy: z.string(), at: z.number() })),
        /** whoever asks is one of them */
        reads: z.boolean(),
      }),
    },
  ),
  write: endpoint('POST', '/api/exposures', 'member', 'A note of exposure', {
    body: z.strictObject({ id, personId: id, body: exposureBody }),
    password: true,
    response: done,
  }),
  change: endpoint('PUT', '/api/exposures/:id', 'member', 'How it went on', {
    params: idParams,
    body: z.strictObject({ version, body: exposureBody }),
    password: true,
    response: done,
  }),
  erase: endpoint('POST', '/api/exposures/:id/erase', 'member', 'Its owner erases a note', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
  reader: endpoint('POST', '/api/exposures/readers', 'technician', 'Another technician is named to read notes, or is not any more', {
    body: readerBody,
    response: done,
  }),
}
export type ExposureNote = z.infer<typeof exposureNote>
