import { z } from 'zod'
import { planRequest } from '../process/request'
import { unplacedReasons } from '../rota/problem'
import { id, millis, reason } from '../shape/common'

/* An evening as it is kept: who is there, what goes into which tank together, and where each load has its place. Times are ms; a place begins on a whole second. */

const rest = z.strictObject({ minutes: z.int().min(1).max(180), fromAt: millis, untilAt: millis })
/** Somebody whose hands may be counted on. */
const eveningPerson = z.strictObject({
  personId: id,
  fromAt: millis,
  untilAt: millis,
  /** a break that begins between two times */
  rest: rest.nullable(),
})
export type EveningPerson = z.output<typeof eveningPerson>

export const loadPlace = z.strictObject({
  startAt: millis,
  vesselId: id,
  personId: id,
  bathId: id.nullable(),
  /** s before its loading and each of its steps; null where it never waits */
  waits: z.array(z.int().min(0).max(36_000)).max(60).nullable(),
})
export type LoadPlace = z.output<typeof loadPlace>

export const eveningLoad = z.strictObject({
  /** its run has the same */
  id,
  /** what it will be; its vessel stands for every vessel like it until it has a place */
  request: planRequest,
  /** of each film of the request, in their order, the order it came in */
  orders: z.array(id).min(1).max(16),
  readyAt: millis,
  dueAt: millis,
  weight: z.int().min(1).max(1000),
  /** s in the closet before its first pour */
  loadingS: z.int().min(0).max(7200),
  /** somebody fixed its place: nothing that is arranged moves it */
  fixed: z.boolean(),
  /** why it is arranged although something speaks against it */
  overruled: reason.nullable(),
  place: loadPlace.nullable(),
  /** why it has no place; 'bottle': no bottle bears it after those before it */
  unplaced: z.enum([...unplacedReasons, 'bottle']).nullable(),
})
export type EveningLoad = z.output<typeof eveningLoad>

export const eveningBody = z.strictObject({
  opensAt: millis,
  closesAt: millis,
  people: z.array(eveningPerson).max(12),
  loads: z.array(eveningLoad).max(80),
})
export type EveningBody = z.output<typeof eveningBody>
