import { z } from 'zod'
import { id, millis } from '../shape/common'
import { coatAct } from './acts'
import { uvLight } from './light'
import { coatedBody } from './sheet'

/** An act as it is brought from elsewhere. */
export const coatToldRow = z.strictObject({ at: millis, act: coatAct, light: uvLight.nullable(), cost: z.number().min(0).nullable() })

/** A hand-coated print as an import writes it. */
export const coatedRow = z.strictObject({
  ...{ kind: z.literal('coated'), id },
  body: z.strictObject({ memberId: id.nullable(), at: millis, body: coatedBody, acts: z.array(coatToldRow).max(200) }),
})
