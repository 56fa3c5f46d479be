import { z } from 'zod'
import { printingLimits } from '../evening/room'
import { id, idParams, millis, reason, version } from '../shape/common'
import { endpoint } from './endpoint'

const span = z.object({ fromAt: z.number(), untilAt: z.number() })
/** A place at an enlarger; times in ms. */
const place = z.object({
  id,
  version,
  memberId: id,
  member: z.string(),
  /** of the calendar, the opening it lies in */
  day: z.string(),
  ...span.shape,
  /** when it was booked as it is */
  at: z.number(),
  /** why a technician gave more than everybody’s share */
  overruled: z.string().nullable(),
})
const openDay = z.object({
  day: z.string(),
  opensAt: z.number(),
  closesAt: z.number(),
  /** everybody’s times, without names */
  taken: z.array(span.extend({ id })),
  /** times in which the room has another light, for film */
  otherLight: z.array(span.extend({ light: z.string() })),
})
const page = z.object({
  limits: printingLimits,
  cleanMinutes: z.int(),
  /** enlargers in order, and those that are not */
  ...{ places: z.int(), outOfOrder: z.int() },
  /** openings of the days that are given out */
  days: z.array(openDay),
  /** from this week on: one’s own; everybody’s where a technician asks */
  booked: z.array(place),
})
/** `overruled`: why a technician gives more than everybody’s share; null where it is not more */
const asked = { fromAt: millis, untilAt: millis, overruled: reason.nullable() }

export const printingApi = {
  get: endpoint('GET', '/api/printing', 'member', 'Places at enlargers: what is free on the coming days, and what is booked', {
    response: page,
  }),
  book: endpoint('POST', '/api/printing', 'member', 'Book a place; a technician for anybody', {
    body: z.strictObject({ id, memberId: id, ...asked }),
    response: place,
  }),
  change: endpoint('PUT', '/api/printing/:id', 'member', 'Other times for a place', {
    params: idParams,
    body: z.strictObject({ version, ...asked }),
    response: place,
  }),
  takeBack: endpoint('POST', '/api/printing/:id/take-back', 'member', 'Give a place back; one that has begun ends now', {
    params: idParams,
    body: z.strictObject({ version, why: z.string().trim().max(500) }),
    response: place,
  }),
}
export type PrintingPage = z.infer<typeof page>
export type PrintPlace = z.infer<typeof place>
export type PrintingDay = z.infer<typeof openDay>
