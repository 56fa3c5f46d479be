import { z } from 'zod'
import { impossible } from '../error'
import { id, millis, note } from '../shape/common'
import { wasteFamilies } from '../waste/drumIds'

/** What was spilled, as it is written down afterwards. Whether somebody was hurt is health data and does not stand here. */
export const incidentBody = z.strictObject({
  /** ms, when it happened */
  at: millis,
  what: z.string().trim().min(1, 'Say what was spilled.').max(200),
  /** null where nobody knows */
  family: z.enum(wasteFamilies).nullable(),
  /** ml; null where nobody could say */
  ml: z.number().gt(0, 'It is more than nothing, or leave it empty.').max(1_000_000).nullable(),
  /** who was there, people of this darkroom */
  present: z.array(id).max(20),
  /** the kit of absorbent, gloves and bags is full again */
  kitFull: z.boolean(),
  note,
})
export type IncidentBody = z.infer<typeof incidentBody>

/** ms a clock may be ahead of the server's */
const aheadMs = 5 * 60_000
const yearMs = 366 * 86_400_000

/**
 * Refuses a spill that has not happened yet, or that is older than anybody remembers.
 * @param now ms
 * @throws Refused 'not-yet', 'too-old'
 * @example
 * requireIncident({ at: 1000 }, 2000) // → undefined
 */
export function requireIncident({ at }: Pick<IncidentBody, 'at'>, now: number): void {
  if (at > now + aheadMs) throw impossible('not-yet', 'That time has not come yet: say when it happened.', { field: 'at' })
  if (at < now - yearMs) throw impossible('too-old', 'That is over a year ago: say when it happened.', { field: 'at' })
}
