import { z } from 'zod'
import { id, reason } from '../shape/common'
import { coatParts } from './bench'

const seconds = z.number('Say how long.').gt(0, 'Say how long.').max(86_400, 'A day at most.')
const lamps = z.array(id).min(1, 'Say which lamp it stands under.').max(12)
const distanceCm = z.number('A lamp is 1 to 300 cm away.').min(1, 'A lamp is 1 to 300 cm away.').max(300, 'A lamp is 1 to 300 cm away.')
const band = z.int().min(0).max(11)

/** What was done with a hand-coated sheet; each is written once and stays on the record, `back` too. */
export const coatAct = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('coat'),
    poured: z
      .array(
        z.strictObject({
          ...{ part: z.enum(coatParts), bottleId: id, entryId: id },
          drops: z.int('Count the drops.').min(1, 'Count the drops.').max(4000, 'Four thousand drops at most.'),
        }),
      )
      .min(1)
      .max(6),
    /** % in the room; null where nobody looked */
    humidity: z.number('Humidity is 0 to 100 %.').min(0, 'Humidity is 0 to 100 %.').max(100, 'Humidity is 0 to 100 %.').nullable(),
    /** why a bottle is used that should not be */
    overrule: reason.optional(),
  }),
  z.strictObject({ kind: z.literal('dry'), seconds }),
  z.strictObject({
    ...{ kind: z.literal('strip'), lamps, distanceCm },
    firstS: z.number('A first band is 5 s to 2 h.').min(5, 'A first band is 5 s to 2 h.').max(7200, 'A first band is 5 s to 2 h.'),
    stepStops: z.union([z.literal(0.25), z.literal(1 / 3), z.literal(0.5), z.literal(1)]),
    bands: z.int().min(3, 'Three to twelve bands.').max(12, 'Three to twelve bands.'),
  }),
  z.strictObject({ kind: z.literal('read'), chosen: z.union([z.tuple([band]), z.tuple([band, band])]) }),
  z.strictObject({ kind: z.literal('expose'), seconds, lamps, distanceCm }),
  z.strictObject({ kind: z.literal('step'), step: z.int().min(0).max(20), seconds: seconds.nullable() }),
  z.strictObject({ kind: z.literal('done'), said: z.string().trim().max(2000) }),
  /** the last tap was a slip */
  z.strictObject({ kind: z.literal('back') }),
])
export type CoatAct = z.infer<typeof coatAct>
