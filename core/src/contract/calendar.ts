import { z } from 'zod'
import { id, idParams, name, page } from '../shape/common'
import { endpoint } from './endpoint'

/** One's own plan, or the darkroom's. */
const whose = z.enum(['mine', 'darkroom'])
/** A key that opens a calendar to whoever has it, until it is revoked. */
const calendarKey = z.object({ id, name: z.string(), whose, at: z.number() })
/** as it stands at the end of an address, which some programs want to end like a file's name */
const token = z
  .string()
  .min(20)
  .max(100)
  .transform((text) => text.replace(/\.ics$/, ''))

export const calendarApi = {
  keys: endpoint('GET', '/api/calendars', 'member', 'Addresses one’s calendar programs subscribe to, those that still open something', {
    response: page(calendarKey),
  }),
  make: endpoint('POST', '/api/calendars', 'member', 'An address to subscribe to; it is shown once', {
    body: z.strictObject({ id, name, whose }),
    response: z.object({ key: calendarKey, token: z.string() }),
    secret: true,
  }),
  revoke: endpoint('POST', '/api/calendars/:id/revoke', 'member', 'An address opens nothing any more', {
    params: idParams,
    response: z.object({ revoked: z.literal(true) }),
  }),
  file: endpoint('GET', '/api/calendars/file', 'member', 'One’s own plan, or the darkroom’s, as a calendar file', {
    query: z.strictObject({ whose: whose.default('mine') }),
    file: true,
  }),
  feed: endpoint('GET', '/api/calendar/:token', 'public', 'The calendar an address opens', {
    params: z.strictObject({ token }),
    file: true,
  }),
}
export type CalendarKey = z.infer<typeof calendarKey>
