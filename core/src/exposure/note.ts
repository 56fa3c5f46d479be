import { z } from 'zod'
import { impossible } from '../error'
import { id, millis } from '../shape/common'

export const exposureWays = ['skin', 'breath', 'eyes', 'swallowed'] as const
export type ExposureWay = (typeof exposureWays)[number]

/** A reaction somebody had, as they write it down: health data, seen by its owner and by named technicians alone. */
export const exposureBody = z.strictObject({
  /** ms, when it was */
  at: millis,
  /** what it was, by its name; of the catalogue where it stands there */
  agent: z.string().trim().min(1, 'Say what it was.').max(120),
  chemical: z.string().max(80).nullable(),
  /** what was being done */
  task: z.string().trim().max(200),
  /** for how long; null where nobody can say */
  minutes: z.number().min(0, 'Minutes are 0 or more.').max(1440, 'A day at most.').nullable(),
  gloves: z.boolean(),
  way: z.enum(exposureWays, 'Say whether it was the skin, the breath, the eyes or swallowed.'),
  /** how it went on */
  course: z.string().trim().max(2000),
})
export type ExposureBody = z.output<typeof exposureBody>

/** one who opens a note is a named technician, or its owner */
export interface ExposureReader {
  id: string
  role: 'technician' | 'member'
  /** named to read them */
  reads: boolean
}

/**
 * Whether somebody may see the notes of a person.
 * @example
 * maySeeNotes({ id: 'ilse', role: 'technician', reads: false }, 'tilda') // → false
 */
export const maySeeNotes = (who: ExposureReader, ownerId: string): boolean => who.id === ownerId || (who.role === 'technician' && who.reads)

/** ms a clock may be ahead of the server's */
const aheadMs = 5 * 60_000
/**
 * Refuses a reaction that has not come yet.
 * @param now ms
 * @throws Refused 'not-yet'
 * @example
 * requireExposure({ at: 1000 }, 2000) // → undefined
 */
export function requireExposure({ at }: Pick<ExposureBody, 'at'>, now: number): void {
  if (at > now + aheadMs) throw impossible('not-yet', 'That time has not come yet: say when it was.', { field: 'at' })
}

export const readerBody = z.strictObject({ personId: id, reads: z.boolean() })
