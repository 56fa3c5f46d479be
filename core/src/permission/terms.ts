import { z } from 'zod'
import { id, millis } from '../shape/common'

/** What a member may develop without a technician, and what is asked of them before. */
export const permissionTerms = z.strictObject({
  processId: id,
  /** tanks it is for; none: every one that fits */
  vesselIds: z.array(id).max(40),
  /** bottles that may be poured from; none: every one that may be used */
  bottleIds: z.array(id).max(60),
  /** the process, as it is now, was practised once with nothing wrong */
  practice: z.boolean(),
  /** films of others too */
  others: z.boolean(),
  /** and before those a reel of their kind was loaded without a fault, with eyes shut or in the dark */
  loading: z.boolean(),
  /** until when; null for as long as nobody ends it */
  until: millis.nullable(),
})
export type PermissionTerms = z.output<typeof permissionTerms>
