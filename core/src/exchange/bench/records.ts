import { z } from 'zod'
import { platinumContrasts } from '../../coat/coating'
import { uvKinds } from '../../coat/light'
import { coatedProcesses } from '../../coat/negative'
import { tonerKinds } from '../../tone/order'

const text = z.string()
const count = z.union([z.number(), z.string()])
const quantity = z.union([z.string(), z.number()])
const moment = text.describe('2026-04-14, or with its time 2026-04-14T18:30:00Z')
const ownId = text.optional().describe('what has an id that is here already is passed over')

/** A strip of the swatch book; its photograph is not in a file. */
export const swatchRecord = z.object({
  ...{ id: ownId, at: moment, toner: z.enum(tonerKinds) },
  ratio: text.optional().describe('of sulfide toners, thiourea and hydroxide stock: 80 / 40'),
  dilution: count.optional().describe('of selenium: parts of water to one'),
  bleached: z.enum(['', 'complete', 'pulled']).optional(),
  bleach_time: quantity.optional(),
  tone_time: quantity.optional(),
  paper: text,
  note: text.optional(),
  by: text.optional().describe('for reading only'),
})

export const lampRecord = z.object({
  name: text,
  kind: z.enum(uvKinds),
  watts: count,
  width: count.optional().describe('of a bank or a panel, cm'),
  hours: count.optional().describe('it has run'),
  uv_meter: count.optional().describe('of what it gave when new: 82 %'),
  note: text.optional(),
})

export const coatedRecord = z.object({
  ...{ id: ownId, title: text },
  member: text.optional().describe('their name'),
  begun: moment,
  process: z.enum(coatedProcesses),
  negative: text.optional(),
  range: count.optional().describe('density range of the negative by UV; left out where nobody measured it'),
  size: text.describe('what is coated, cm: 20 x 25'),
  strips: count.optional().describe('of 5 x 10 cm coated beside it'),
  coated_with: z.enum(['brush', 'rod']),
  coats: count.optional(),
  takes: count.optional().describe('ml for 1,000 cm²'),
  drops_in_ml: count.optional(),
  contrast: z.enum(['', ...platinumContrasts]).optional(),
  platinum_drops: count.optional(),
  paper: text,
  paper_price: count.optional(),
  exposed: quantity.optional().describe('for reading only'),
  said: text.optional().describe('for reading only'),
  acts: text.optional().describe('what was done with it, as JSON, as it was written here; left out where it is not coated yet'),
})
export type SwatchRecord = z.infer<typeof swatchRecord>
export type LampRecord = z.infer<typeof lampRecord>
export type CoatedRecord = z.infer<typeof coatedRecord>
