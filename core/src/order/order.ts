import { z } from 'zod'
import { conflict, impossible } from '../error'
import { filmFormat } from '../process/request'
import { id, millis, name, note, parts } from '../shape/common'

/** Where an order stands: handed in, in the plan of an evening, in the tank, developed, or taken back by its owner. */
export const orderStates = ['waiting', 'planned', 'begun', 'done', 'withdrawn'] as const
export type OrderState = (typeof orderStates)[number]
/** Its rolls lie in the drop-off rack, or hang over a tank that is on. */
export const openStates: readonly OrderState[] = ['waiting', 'planned', 'begun']

/** What somebody wants of the rolls they hand in. */
export const orderWish = z.strictObject({
  film: name,
  format: filmFormat,
  /** rolls, or sheets */
  count: z.int().min(1).max(24),
  ei: z.int().min(1).max(25_600),
  pushStops: z.number().min(-5).max(5),
  processId: id,
  /** null: as the chart says */
  developer: z.strictObject({ formulaId: id, parts }).nullable(),
  /** ms; null where it is ready now, and where there is no hurry */
  earliest: millis.nullable(),
  wantedBy: millis.nullable(),
  /** its owner is there and waits for it */
  present: z.boolean(),
  /** somebody's only negatives: they go alone, on what was tested */
  critical: z.boolean(),
  note,
})
export type OrderWish = z.output<typeof orderWish>

/** One thing that was changed of an order, as it was and as it is. */
export interface WishChange {
  field: keyof OrderWish
  before: unknown
  after: unknown
}

/**
 * A wish that can be met at all, at a time (ms).
 * @throws Refused 'past' where it is wanted by a time that is over, 'too-early' where it is wanted before it is there
 * @example
 * requireWish({ earliest: null, wantedBy: 5 }, 10) // throws 'past'
 */
export function requireWish({ earliest, wantedBy }: Pick<OrderWish, 'earliest' | 'wantedBy'>, now: number): void {
  if (wantedBy !== null && wantedBy <= now)
    throw impossible('past', 'The time it is wanted by is over. Say a later one, or none.', { field: 'wantedBy' })
  if (earliest !== null && wantedBy !== null && earliest >= wantedBy)
    throw impossible('too-early', 'It is wanted before it is there. Say a later time, or none.', { field: 'wantedBy' })
}

const closed: Partial<Record<OrderState, string>> = {
  begun: 'is in the tank already. Speak to the technician on duty.',
  done: 'is developed already.',
  withdrawn: 'was withdrawn.',
}

/**
 * Whether an order can still be changed or withdrawn: until its film is in the tank.
 * @throws Refused 'closed'
 * @example
 * requireChangeable({ number: 4, state: 'begun' }) // throws 'closed'
 */
export function requireChangeable({ number, state }: { number: number; state: OrderState }): void {
  const why = closed[state]
  if (why) throw conflict('closed', `Order ${number} ${why}`)
}

/**
 * What a change comes to, field by field; nothing where nothing differs.
 * @example
 * wishChanges(aWish, { ...aWish, count: 3 }) // → [{ field: 'count', before: 2, after: 3 }]
 */
export const wishChanges = (before: OrderWish, after: OrderWish): WishChange[] =>
  (Object.keys(orderWish.shape) as (keyof OrderWish)[]).flatMap((field) =>
    JSON.stringify(before[field]) === JSON.stringify(after[field]) ? [] : [{ field, before: before[field], after: after[field] }],
  )

/**
 * The first free place of a rack whose places are numbered from 1.
 * @example
 * freePlace([1, 2, 4]) // → 3
 */
export function freePlace(taken: number[]): number {
  const there = new Set(taken)
  let place = 1
  while (there.has(place)) place++
  return place
}
