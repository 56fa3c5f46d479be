import { z } from 'zod'

const name = z.string().trim().min(1, 'Write a name.').max(120)
const id = z.uuidv7()
/** Rolls a kit is good for by its leaflet; of film exposed at `fromEi` or more so many. */
const capacity = z.strictObject({ fromEi: z.int().min(1).max(25_600), rolls: z.number().gt(0).max(10_000) })
const bath = z.strictObject({ name, formulaId: id, /** as the leaflet has it made up, ml */ ml: z.number().gt(0).max(100_000) })

/** A bought kit: several baths that are mixed together, share one count of rolls, and have their own version of a process. */
export const kitBody = z.strictObject({
  name,
  note: z.string().trim().max(2000).default(''),
  baths: z.array(bath).min(1, 'A kit has one bath at least.').max(12),
  capacity: z
    .array(capacity)
    .min(1, 'Write how many rolls it is good for.')
    .max(6)
    .refine((all) => all.every((one, i) => i === 0 || one.fromEi > (all[i - 1]?.fromEi ?? 0)), 'Slower films come first.'),
  /** the process as its leaflet wants it */
  processId: id.nullable(),
  /** days it keeps sealed */
  sealedDays: z.number().gt(0).max(10_000).nullable(),
})
export type KitBody = z.output<typeof kitBody>
