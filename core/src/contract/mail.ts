import { z } from 'zod'
import { idParams, listQuery, page, version } from '../shape/common'
import { endpoint } from './endpoint'

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time such as 22:00.')
const wishBody = z.strictObject({
  /** empty where none is known */
  address: z.union([z.literal(''), z.email('Write an address such as name@example.org, or leave it empty.').max(200)]),
  wanted: z.boolean(),
  /** of the day: between them nothing is sent; the same twice where it is never quiet */
  quietFrom: time,
  quietUntil: time,
})
const wish = z.object({ version, ...wishBody.shape })

/** What is written to somebody, and what became of it. */
const letter = z.object({
  id: z.string(),
  to: z.string(),
  text: z.string(),
  at: z.number(),
  /** when it is tried next; null where it is sent, or is not wanted any more */
  nextAt: z.number().nullable(),
  sentAt: z.number().nullable(),
  tries: z.int(),
  /** why the last try came to nothing */
  error: z.string().nullable(),
})

export const mailApi = {
  mine: endpoint('GET', '/api/mail/mine', 'member', 'Where one is written to, and when not', { response: wish }),
  change: endpoint('PUT', '/api/mail/mine', 'member', 'Say where one is written to, and when not', {
    body: z.strictObject({ version, ...wishBody.shape }),
    response: wish,
  }),
  letters: endpoint('GET', '/api/mail', 'technician', 'What was written to people, the newest first, and what became of it', {
    query: listQuery,
    response: z.object({ ...page(letter).shape, /** whether a mail server is set up */ sends: z.boolean() }),
  }),
  again: endpoint('POST', '/api/mail/:id/again', 'technician', 'Try a letter that could not be sent once more, now', {
    params: idParams,
    response: letter,
  }),
}
export type MailWish = z.infer<typeof wish>
export type Letter = z.infer<typeof letter>
