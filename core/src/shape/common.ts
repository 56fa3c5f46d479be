import { z } from 'zod'

/** UUID v7, made by whoever creates the thing. */
export const id = z.uuidv7()
export const idParams = z.strictObject({ id })
export const version = z.int().min(1)
export const name = z.string().trim().min(1, 'Write a name.').max(120)
export const note = z.string().trim().max(2000)
export const reason = z.string().trim().min(3, 'Give the reason in a few words.').max(500)
/** amounts fit numeric(14,4) */
export const amount = z.number().min(0).max(1_000_000)
export const positive = z.number().gt(0).max(1_000_000)
export const celsius = z.number().min(-10).max(110)
export const millis = z.int().min(0).max(4_102_444_800_000)
export const parts = z.array(z.number().gt(0).max(1000)).min(1).max(5)
export const listQuery = z.strictObject({ limit: z.coerce.number().int().min(1).max(200).default(200), after: id.optional() })
/** what a picture is asked for by: another count where it was taken anew, so that no older one is shown */
export const pictureQuery = z.strictObject({ turn: z.coerce.number().int().min(0).optional() })
/** words that all stand somewhere in what is looked for */
export const find = z.string().trim().max(100).default('')
export const done = z.object({ done: z.literal(true) })
export const page = <T extends z.ZodType>(row: T) =>
  z.object({ rows: z.array(row), /** id to ask on from; null at the end */ after: z.string().nullable() })

/** Every refusal. `current` is what the thing is now, where a change was based on an older version. */
export const problem = z.object({ code: z.string(), message: z.string(), field: z.string().optional(), current: z.unknown().optional() })
export type Problem = z.infer<typeof problem>
