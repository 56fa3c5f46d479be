import { z } from 'zod'
import { bottleApi } from './bottle'
import { chartApi } from './chart'
import { chemicalApi } from './chemical'
import { id } from '../shape/common'
import { deviceApi } from './device'
import { faultApi } from './fault'
import { formulaApi } from './formula'
import { jarApi } from './jar'
import { kitApi } from './kit'
import { mixApi } from './mix'
import { orderApi } from './order'
import { personApi } from './person'
import { proofApi } from './proof'
import { processApi } from './process'
import { keptEvent } from '../run/runEvent'
import { runApi } from './run'
import { shelfApi } from './shelf'

/**
 * What the event stream says: a row of that subject changed, and as whom it is told to sees it now (`row`); null where it is gone, or no longer in its list.
 * PostgreSQL tells without the row, and so do subjects whose list is asked for anew.
 */
export const liveEvent = z.object({
  subject: z.enum([
    'bottle',
    'formula',
    'process',
    'kit',
    'jar',
    'mix',
    'run',
    'run-event',
    'supply',
    'roll',
    'order',
    'evening',
    'room',
    'weeks',
    'printing',
    'fault',
    'person',
    'permission',
    'darkroom',
    'chart',
    'vessel',
    'device',
    'chemical',
    'shelf',
    'proof',
    'instrument',
    'rule',
    'notice',
    'waste',
    'drum',
    'sink',
    'trays',
    'print',
    'line',
    'training',
  ]),
  id: z.string(),
  version: z.number().nullable(),
  row: z.unknown().optional(),
})
/** Subjects members hear of as well, of runs and films their own; the rest is a technician's. */
export const memberSubjects: readonly LiveEvent['subject'][] = [
  ...([
    'bottle',
    'roll',
    'order',
    'fault',
    'run',
    'run-event',
    'notice',
    'darkroom',
    'shelf',
    'process',
    'person',
    'permission',
    'printing',
    'room',
    'evening',
    'trays',
    'print',
    'line',
    'training',
  ] as const),
]
export type LiveEvent = z.infer<typeof liveEvent>

const rowOf = <R extends z.ZodType>(list: { response: z.ZodObject<{ rows: z.ZodArray<R> }> }): R => list.response.shape.rows.element

/** What a row of each subject looks like when it is told: as in its list. Subjects that are not here are told without one. */
export const liveRows = {
  bottle: rowOf(bottleApi.list),
  formula: rowOf(formulaApi.list),
  process: rowOf(processApi.list),
  kit: rowOf(kitApi.list),
  jar: rowOf(jarApi.list),
  mix: rowOf(mixApi.list),
  run: rowOf(runApi.list),
  'run-event': z.object({ id, runId: id, event: keptEvent }),
  supply: shelfApi.supply.response.shape.supplies.element,
  roll: rowOf(runApi.rolls),
  order: rowOf(orderApi.list),
  fault: rowOf(faultApi.list),
  notice: rowOf(proofApi.notices),
  person: rowOf(personApi.list),
  chart: rowOf(chartApi.list),
  vessel: rowOf(runApi.vessels),
  device: rowOf(deviceApi.list),
  chemical: rowOf(chemicalApi.list),
  shelf: rowOf(shelfApi.list),
  waste: rowOf(shelfApi.waste),
  instrument: rowOf(proofApi.instruments),
  rule: rowOf(proofApi.rules),
}
export type LiveRows = { [S in keyof typeof liveRows]: z.output<(typeof liveRows)[S]> }
