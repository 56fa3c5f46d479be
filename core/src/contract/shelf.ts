import { z } from 'zod'
import { celsius, done, id, idParams, listQuery, name, page, version } from '../shape/common'
import { drums } from '../waste/drumIds'
import { endpoint } from './endpoint'

/** A place bottles stand; its temperature counts for how they age, `assumedShelfC` where nobody measured it (null). */
const shelf = z.object({ id, version, name, celsius: z.number().nullable(), position: z.int() })
export const shelfBody = { name, celsius: celsius.nullable() }

const supply = z.object({
  formulaId: id,
  name: z.string(),
  family: z.string(),
  /** ids in order of use */
  order: z.array(id),
  rollsLeft: z.number(),
  rollsPerDay: z.number(),
  plannedRolls: z.number(),
  /** ms of the first day that cannot be served; null beyond four months */
  runsOutAt: z.number().nullable(),
  because: z.enum(['use', 'age']).nullable(),
})
/** What finished bottles of a formula really used up: stock in ml for so many rolls, by school. */
const consumption = z.object({
  formulaId: id,
  school: z.enum(['one-shot', 'counted', 'compensated', 'replenished', 'two-bath']),
  ml: z.number(),
  rolls: z.number(),
})
export const wasteRow = z.object({
  id,
  at: z.number(),
  by: z.string(),
  family: z.string(),
  /** where it goes by what is in it; null where nobody wrote that down, and the local rules say */
  drum: z.enum(drums).nullable(),
  ml: z.number(),
  silverG: z.number(),
  /** of which bottle; null where a run’s wash carried it away */
  bottleId: id.nullable(),
  label: z.string(),
  source: z.enum(['bottle', 'run', 'wash']),
  /** g of products in it; null where nobody knows */
  contents: z.array(z.object({ chemical: z.string(), grams: z.number() })).nullable(),
  note: z.string(),
})

export const shelfApi = {
  list: endpoint('GET', '/api/shelves', 'member', 'The shelves, in order', { query: listQuery, response: page(shelf) }),
  add: endpoint('POST', '/api/shelves', 'technician', 'A new shelf', { body: z.strictObject({ id, ...shelfBody }), response: shelf }),
  change: endpoint('PUT', '/api/shelves/:id', 'technician', 'Rename a shelf or say how warm it is', {
    params: idParams,
    body: z.strictObject({ version, ...shelfBody }),
    response: shelf,
  }),
  remove: endpoint('DELETE', '/api/shelves/:id', 'technician', 'Take an empty shelf away', {
    params: idParams,
    body: z.strictObject({ version }),
    response: done,
  }),
  supply: endpoint('GET', '/api/supply', 'technician', 'How long each formula’s bottles last at the recent rate and with what is planned', {
    response: z.object({ supplies: z.array(supply), consumption: z.array(consumption) }),
  }),
  waste: endpoint('GET', '/api/waste', 'technician', 'What was poured away, newest first', { query: listQuery, response: page(wasteRow) }),
}
export type Shelf = z.infer<typeof shelf>
export type SupplyRow = z.infer<typeof supply>
export type ConsumptionRow = z.infer<typeof consumption>
export type WasteRow = z.infer<typeof wasteRow>
