import { z } from 'zod'
import { densities, contrasts } from '../film/cameOut'
import { faults } from '../film/faults'
import { verdict } from '../proof/proof'
import { done, id, idParams, name, positive, version } from '../shape/common'
import { endpoint } from './endpoint'
import { roll } from './run'

/** A charted time and what the films of its pair propose instead. s */
const proposedRow = z.object({
  ...{ id, version, temperatureC: z.number(), seconds: z.number(), proposedS: z.number(), lowestS: z.number(), highestS: z.number() },
})
const proposal = z.object({
  films: z.int(),
  factor: z.number(),
  lowest: z.number(),
  highest: z.number(),
  offered: z.boolean(),
  rows: z.array(proposedRow),
})
/** All films of one kind in one developer. */
const pair = z.object({
  key: z.string(),
  film: z.string(),
  ei: z.int(),
  developer: z.string(),
  films: z.int(),
  /** how many came out how; those of whom nobody has said it are in none of them */
  came: z.object({ thin: z.int(), right: z.int(), dense: z.int(), flat: z.int(), evenly: z.int(), hard: z.int() }),
  faults: z.array(z.object({ fault: z.enum(faults), films: z.int() })),
  meanS: z.number().nullable(),
  shortestS: z.number().nullable(),
  longestS: z.number().nullable(),
  meanC: z.number().nullable(),
  lastAt: z.number(),
  proposal: proposal.nullable(),
})

const tracedBath = z.object({
  id,
  label: z.string(),
  name: z.string(),
  family: z.string(),
  madeAt: z.number(),
  retiredAt: z.number().nullable(),
  /** the bottle it was decanted from */
  from: z.object({ id, label: z.string() }).nullable(),
  tests: z.array(z.object({ id, kind: z.string(), at: z.number(), verdict, reason: z.string() })),
})
const tracedFilm = z.object({
  ...{ id, film: z.string(), format: z.string(), ei: z.int(), member: z.string(), at: z.number(), runId: id, runNumber: z.int() },
  result: z.enum(densities).nullable(),
  contrast: z.enum(contrasts).nullable(),
  faults: z.array(z.enum(faults)),
  /** a failed test puts it in doubt */
  inDoubt: z.boolean(),
  /** the bottles its run took liquid of, with the steps */
  baths: z.array(z.object({ bottleId: id, label: z.string(), steps: z.array(z.string()) })),
})

export const filmApi = {
  sleeve: endpoint('POST', '/api/rolls/:id/sleeve', 'technician', 'A dry film is cut, sleeved, numbered and put in its owner’s place', {
    params: idParams,
    body: z.strictObject({ version, /** frames of a strip; 0 left whole */ cut: z.int().min(0).max(12), sleeve: name }),
    response: roll,
  }),
  handBack: endpoint('POST', '/api/rolls/:id/hand-back', 'technician', 'A film was handed back', {
    params: idParams,
    body: z.strictObject({ version }),
    response: roll,
  }),
  pairs: endpoint(
    'GET',
    '/api/pairs',
    'technician',
    'How the films of each kind came out in each developer, and what that proposes for the chart',
    {
      response: z.object({ rows: z.array(pair) }),
    },
  ),
  take: endpoint('POST', '/api/pairs/take', 'technician', 'Takes a proposed time into the chart', {
    body: z.strictObject({
      films: z.int().min(1).max(100_000),
      rows: z
        .array(z.strictObject({ id, version, seconds: positive.max(86_400) }))
        .min(1)
        .max(20),
    }),
    response: done,
  }),
  trace: endpoint('GET', '/api/trace', 'technician', 'A film with its baths and all that went through them, or a bottle with its films', {
    query: z.strictObject({ film: id.optional(), bottle: id.optional() }),
    response: z.object({ baths: z.array(tracedBath), films: z.array(tracedFilm) }),
  }),
}
export type Pair = z.infer<typeof pair>
export type TracedBath = z.infer<typeof tracedBath>
export type TracedFilm = z.infer<typeof tracedFilm>
