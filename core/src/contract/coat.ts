import { z } from 'zod'
import { coatAct } from '../coat/acts'
import { coatParts } from '../coat/bench'
import { uvLampBody, uvLight } from '../coat/light'
import { coatedProcesses } from '../coat/negative'
import { coatedBody } from '../coat/sheet'
import { finding } from '../finding'
import { find, id, idParams, listQuery, page, version } from '../shape/common'
import { endpoint } from './endpoint'

const lamp = z.object({
  ...{ id, version },
  /** its hours are those of now: as they were written down, with what it ran since */
  body: uvLampBody,
})
const sheet = z.object({
  ...{ id, version, number: z.int(), memberId: id.nullable(), member: z.string(), at: z.number(), body: coatedBody },
  /** what was done with it, the first first */
  acts: z.array(
    z.object({
      ...{ id, at: z.number(), by: z.string(), act: coatAct },
      /** of strips and exposures */
      light: uvLight.nullable(),
      /** of the sensitizer that was coated; null where a price is missing */
      cost: z.number().nullable(),
    }),
  ),
})
/** a bottle of the coating bench: which part it is of what, by what is in it */
const bench = z.object({
  ...{ id, label: z.string(), name: z.string(), ml: z.number() },
  ...{ part: z.enum(coatParts), processes: z.array(z.enum(coatedProcesses)) },
  pricePerMl: z.number().nullable(),
  findings: z.array(finding),
})

export const coatApi = {
  get: endpoint(
    'GET',
    '/api/coating',
    'member',
    'The coating bench: lamps, what stands on the shelf for it, and the prints in the making',
    {
      response: z.object({
        ...{ lamps: z.array(lamp), bench: z.array(bench), sheets: z.array(sheet) },
        /** the last exposure of each process and paper */
        last: z.array(
          z.object({
            process: z.enum(coatedProcesses),
            paper: z.string(),
            seconds: z.number(),
            light: uvLight,
            at: z.number(),
            number: z.int(),
          }),
        ),
      }),
    },
  ),
  addLamp: endpoint('POST', '/api/uv-lamps', 'technician', 'A UV lamp of the house', {
    body: z.strictObject({ id, body: uvLampBody }),
    response: lamp,
  }),
  changeLamp: endpoint('PUT', '/api/uv-lamps/:id', 'technician', 'Change a UV lamp; its hours are counted on from what is written', {
    params: idParams,
    body: z.strictObject({ version, body: uvLampBody }),
    response: lamp,
  }),
  removeLamp: endpoint('POST', '/api/uv-lamps/:id/remove', 'technician', 'A UV lamp is gone', {
    params: idParams,
    body: z.strictObject({ version }),
    response: z.object({ done: z.literal(true) }),
  }),
  list: endpoint('GET', '/api/coated', 'member', 'Hand-coated prints, the newest first: one’s own, a technician everyone’s', {
    query: listQuery.extend({ find }),
    response: page(sheet),
  }),
  sheet: endpoint('GET', '/api/coated/:id', 'member', 'A hand-coated print with what was done with it', {
    params: idParams,
    response: sheet,
  }),
  begin: endpoint('POST', '/api/coated', 'member', 'A hand-coated print is begun', {
    body: z.strictObject({ id, memberId: id, body: coatedBody }),
    response: sheet,
  }),
  change: endpoint('PUT', '/api/coated/:id', 'member', 'Change it; once it is coated only its name, its negative and its paper', {
    params: idParams,
    body: z.strictObject({ version, body: coatedBody }),
    response: sheet,
  }),
  act: endpoint('POST', '/api/coated/:id/acts', 'member', 'What was done with it: coated, dried, exposed, a step in its baths', {
    params: idParams,
    body: z.strictObject({ id, version, act: coatAct }),
    response: sheet,
  }),
}
export type UvLamp = z.infer<typeof lamp>
export type CoatedSheet = z.infer<typeof sheet>
export type BenchBottle = z.infer<typeof bench>
export type CoatPage = z.infer<typeof coatApi.get.response>
