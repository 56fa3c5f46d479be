import { z } from 'zod'
import { celsius, id, positive } from '../shape/common'

const step = z.int().min(0).max(59)
/** What happened during a guided mix, in order. `step` is the index of the addition. */
export const mixEvent = z.discriminatedUnion('kind', [
  z.strictObject({ id, kind: z.literal('water'), celsius: celsius.nullable() }),
  z.strictObject({
    id,
    kind: z.literal('jar'),
    step,
    jarId: id,
    // the server writes what it knows of the jar itself
    chemical: z.string().max(80).default(''),
    factor: z.number().gt(0).max(100).default(1),
    lot: z.string().max(60).default(''),
  }),
  z.strictObject({
    id,
    kind: z.literal('weigh'),
    step,
    amount: z.number().gt(0).max(100_000),
    jarId: id.nullable(),
    /** the bottle a stock solution was drawn from */
    bottleId: id.nullable().optional(),
    /** name of the scale it was read from; absent where it was typed */
    device: z.string().max(120).nullable().optional(),
    /** the weight that was written wrong, whose place it takes */
    corrects: id.optional(),
    /** an odd amount that was asked about and is right */
    sure: z.boolean().optional(),
  }),
  z.strictObject({ id, kind: z.literal('checked'), step, by: id, name: z.string().max(120) }),
  z.strictObject({ id, kind: z.literal('dissolved'), step }),
  z.strictObject({ id, kind: z.literal('rescale'), finalMl: positive.max(1_000_000) }),
  z.strictObject({ id, kind: z.literal('water-added'), ml: positive }),
  /** takes back an event that was written by mistake */
  z.strictObject({ id, kind: z.literal('undo'), of: id }),
  z.strictObject({ id, kind: z.literal('topped-up') }),
  z.strictObject({ id, kind: z.literal('ph'), ph: z.number().min(0).max(14), celsius: celsius.nullable() }),
])
export type MixEvent = z.output<typeof mixEvent>
