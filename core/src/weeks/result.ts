import { z } from 'zod'
import { id } from '../shape/common'

/* What comes of spreading orders over the openings of some weeks, as it is kept and sent. */

/** What has to be mixed of a formula in a week, because of what is planned in it. */
const mixForecast = z.object({
  formulaId: id,
  name: z.string(),
  family: z.string(),
  /** Monday of the week, of the calendar */
  week: z.string(),
  /** poured and gone, in ml of stock; or what goes through, in roll equivalents */
  unit: z.enum(['ml', 'rolls']),
  wanted: z.number(),
  /** of it, what is not there in a bottle that is good by then */
  missing: z.number(),
  /** ml to mix for what is missing, of stock where it is poured away, ready to be used where it is used again; 0 where nothing is */
  mixMl: z.number(),
  /** ms of the first opening it is missing at; null where nothing is */
  by: z.number().nullable(),
})
export type MixForecast = z.output<typeof mixForecast>

/** What one opening comes to; times in ms. */
const weekOpening = z.object({
  /** of the calendar, such as 2026-04-14 */
  day: z.string(),
  opensAt: z.number(),
  closesAt: z.number(),
  /** an evening is planned */
  planned: z.boolean(),
  /** orders that were spread to it, and the loads they come to, each by its orders */
  orders: z.array(id),
  loads: z.array(z.array(id)),
  /** films of all its loads, those that are in its evening already among them */
  films: z.int(),
  /** s of hands that its loads want, and that there are */
  wantedS: z.number(),
  thereS: z.number(),
})
export type WeekOpening = z.output<typeof weekOpening>

/** Orders over the openings of some weeks. */
export const weeks = z.object({
  openings: z.array(weekOpening),
  /** orders that come after they are wanted, or after the day they were promised for */
  past: z.array(id),
  /** orders for which no opening has room, or is there before these weeks are over */
  without: z.array(id),
  /** orders of which no load can be made, and why */
  left: z.array(z.object({ order: id, message: z.string() })),
  mixing: z.array(mixForecast),
})
export type Weeks = z.output<typeof weeks>
