import { z } from 'zod'
import { swatchBody } from '../tone/swatch'
import { done, id, idParams, listQuery, page, pictureQuery, version } from '../shape/common'
import { endpoint } from './endpoint'
import { pictureBytes } from './proof'

const swatch = z.object({
  ...{ id, version, at: z.number(), by: z.string(), body: swatchBody },
  /** somebody photographed the strip */
  photo: z.boolean(),
})

export const toneApi = {
  get: endpoint('GET', '/api/swatches', 'member', 'The swatch book: strips toned here, the newest first', {
    query: listQuery,
    response: page(swatch),
  }),
  keep: endpoint('POST', '/api/swatches', 'technician', 'A strip goes into the swatch book', {
    body: z.strictObject({ id, body: swatchBody }),
    response: swatch,
  }),
  putPhoto: endpoint('PUT', '/api/swatches/:id/photo', 'technician', 'A photograph of the strip', {
    params: idParams,
    body: z.strictObject({}),
    upload: pictureBytes,
    response: done,
  }),
  getPhoto: endpoint('GET', '/api/swatches/:id/photo', 'member', 'The photograph of the strip', {
    params: idParams,
    query: pictureQuery,
    file: true,
  }),
  takeOut: endpoint('POST', '/api/swatches/:id/take-out', 'technician', 'Take a strip out of the book', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
}
export type Swatch = z.infer<typeof swatch>
