import { z } from 'zod'
import { contrasts, densities } from '../film/cameOut'
import { dryers } from '../film/drying'
import { faults, wipings } from '../film/faults'
import { plan } from '../process/plan'
import { planRequest } from '../process/request'
import { keptEvent, runEvent } from '../run/runEvent'
import { drums } from '../waste/drumIds'
import { done, find, id, idParams, listQuery, millis, name, note, page, reason, version } from '../shape/common'
import { wouldHold } from './bottle'
import { endpoint } from './endpoint'

const covers = z.array(z.number().gt(0).max(20_000)).min(1).max(16)
export const vesselBody = {
  name,
  kind: z.enum(['hand', 'rotary']),
  format: z.enum(['135', '120']),
  /** ml that covers 1, 2, … films: one figure a reel */
  coversMl: covers,
  /** ml a loaded reel of it carries out of a bath; null as usual for the format */
  carryMl: z.number().min(0).max(500).nullable(),
  /** ml that covers 1, 2, … of what else it takes, where somebody measured that; by its height where not given */
  also: z
    .array(z.strictObject({ format: z.enum(['135', '120', 'sheets']), coversMl: covers }))
    .max(2)
    .optional(),
}
const vessel = z.object({
  id,
  version,
  ...vesselBody,
  reels: z.int(),
  /** numbers of the runs in it now, and of those planned in it */ running: z.array(z.int()).optional(),
  planned: z.array(z.int()).optional(),
})

const state = z.enum(['planned', 'running', 'done', 'abandoned', 'taken-back'])
const result = z.enum(densities).nullable()
const runSummary = z.object({
  id,
  version,
  number: z.int(),
  state,
  vessel: z.string(),
  processName: z.string(),
  films: z.array(z.string()),
  /** of each film: what it was exposed at, how it came out, whose it is */
  eis: z.array(z.int()),
  results: z.array(result),
  owners: z.array(z.string()),
  rolls: z.number(),
  by: z.string(),
  /** a member leads it by themselves */
  byMember: z.boolean(),
  plannedAt: z.number(),
  startedAt: z.number().nullable(),
  endedAt: z.number().nullable(),
})
const density = z.number().min(0).max(4).nullable()
const readDensities = z.strictObject({
  ...{ shadow: density, high: density },
  by: z.enum(['photograph', 'densitometer']),
  enlarger: z.enum(['diffuser', 'condenser']),
})
/** A developed film, from its plan to its owner's hands. */
export const roll = z.object({
  id,
  version,
  runId: id.nullable(),
  runNumber: z.int().nullable(),
  memberId: id.nullable(),
  member: z.string(),
  film: z.string(),
  format: z.string(),
  ei: z.int(),
  developer: z.string(),
  developedS: z.number().nullable(),
  temperatureC: z.number().nullable(),
  at: z.number(),
  result,
  contrast: z.enum(contrasts).nullable(),
  /** what is seen on it that should not be there */
  faults: z.array(z.enum(faults)),
  /** net of base and fog, of two frames of a grey card; null where nobody read them */
  densities: readDensities.nullable(),
  note: z.string(),
  /** from the bottom of its tank */
  reel: z.int().nullable(),
  wiping: z.enum(wipings).nullable(),
  dryer: z.enum(dryers).nullable(),
  hungAt: z.number().nullable(),
  /** its place in the dryer, as long as it hangs there */
  hanger: z.int().nullable(),
  /** frames of a strip; 0 left whole */
  cut: z.int().nullable(),
  /** what stands on its sleeve */
  sleeve: z.string().nullable(),
  sleevedAt: z.number().nullable(),
  handedAt: z.number().nullable(),
  /** what a failed test says of it, and what still helps */
  marks: z.array(
    z.object({
      id,
      at: z.number(),
      text: z.string(),
      helps: z.enum(['refix', 'rewash', 'nothing']),
      clearedAt: z.number().nullable(),
      cleared: z.string().nullable(),
    }),
  ),
})
const run = runSummary.extend({
  plan,
  /** what was decided, for the same again */
  request: planRequest.nullable(),
  overruled: z.string().nullable(),
  /** what was noted when it was over, or why it was given up */
  why: z.string().nullable(),
  events: z.array(keptEvent),
  filmRows: z.array(roll),
})

/** The device that says so: once a run was taken over, only the one that leads it may. */
const device = z.string().max(60)
/** How its films were hung up. */
const hung = z.strictObject({ wiping: z.enum(wipings), dryer: z.enum(dryers) })

export const runApi = {
  vessels: endpoint('GET', '/api/vessels', 'technician', 'Tanks and drums', { query: listQuery, response: page(vessel) }),
  addVessel: endpoint('POST', '/api/vessels', 'technician', 'A new tank or drum', {
    body: z.strictObject({ id, ...vesselBody }),
    response: vessel,
  }),
  changeVessel: endpoint('PUT', '/api/vessels/:id', 'technician', 'What covers its films, and what it carries out', {
    params: idParams,
    body: z.strictObject({ version, ...vesselBody }),
    response: vessel,
  }),
  list: endpoint('GET', '/api/runs', 'member', 'Runs (members: those they planned), newest first', {
    query: z.strictObject({
      ...listQuery.shape,
      /** planned or running, or behind them */
      which: z.enum(['open', 'over']).optional(),
      state: state.optional(),
      find,
    }),
    response: page(runSummary),
  }),
  get: endpoint('GET', '/api/runs/:id', 'member', 'One run (members: their own) with its plan and log', {
    params: idParams,
    response: run,
  }),
  goes: endpoint('GET', '/api/runs/:id/goes', 'member', 'Where what a run pours away goes', {
    params: idParams,
    /** the drum, by the bottle it was made up from; null where no drum is for it */
    response: z.object({ drums: z.record(id, z.enum(drums).nullable()) }),
  }),
  plan: endpoint('POST', '/api/runs', 'member', 'Plan a run (members: what they are permitted)', {
    body: z.strictObject({ id, request: planRequest, overrule: reason.optional() }),
    response: run,
  }),
  wouldStart: endpoint('GET', '/api/runs/:id/start', 'member', 'What starting it would write, as the shelf is now', {
    params: idParams,
    /** `plan` as it comes out now; `changed`: what is otherwise than when it was planned */
    response: z.object({ changed: z.array(z.string()), plan, would: z.array(wouldHold) }),
  }),
  start: endpoint('POST', '/api/runs/:id/start', 'member', 'The liquids are measured out: takes what is used once from its bottles', {
    params: idParams,
    body: z.strictObject({
      version,
      at: millis,
      /** what changed since it was planned was read and is taken */ agreed: z.boolean().default(false),
    }),
    response: run,
  }),
  record: endpoint('POST', '/api/runs/:id/events', 'member', 'What happened on the clock; each id counts once', {
    params: idParams,
    bodyBytes: 256_000,
    body: z.strictObject({ events: z.array(runEvent).min(1).max(200) }),
    /** `late`: of those, what another device had taken over from the one it came from, and does not count */
    response: z.object({ kept: z.array(id), late: z.array(id) }),
  }),
  finish: endpoint('POST', '/api/runs/:id/finish', 'member', 'The run is over: writes uses, tally marks and the films’ records', {
    params: idParams,
    bodyBytes: 256_000,
    body: z.strictObject({
      version,
      at: millis,
      events: z.array(runEvent).max(200),
      note: note.default(''),
      hung: hung.optional(),
      device: device.optional(),
    }),
    response: run,
  }),
  abandon: endpoint('POST', '/api/runs/:id/abandon', 'member', 'Give a run up', {
    params: idParams,
    bodyBytes: 256_000,
    body: z.strictObject({
      version,
      at: millis,
      reason,
      device: device.optional(),
      /** what the device has not sent yet: it says which baths were reached */ events: z.array(runEvent).max(200).default([]),
    }),
    response: done,
  }),
  wouldTakeBack: endpoint('GET', '/api/runs/:id/take-back', 'technician', 'What taking a whole run back would write', {
    params: idParams,
    response: z.object({ would: z.array(wouldHold) }),
  }),
  takeBack: endpoint(
    'POST',
    '/api/runs/:id/take-back',
    'technician',
    'Take a whole run back: its lines in every bottle and its films’ records',
    {
      params: idParams,
      body: z.strictObject({ version, reason }),
      response: run,
    },
  ),
  rolls: endpoint('GET', '/api/rolls', 'member', 'Films developed here (members: their own), newest first', {
    query: z.strictObject({
      ...listQuery.shape,
      find,
      /** nobody has said yet how they came out, a failed test puts them in doubt, they hang, or wait in their owner’s place */
      only: z.enum(['unsaid', 'marked', 'hanging', 'waiting']).optional(),
    }),
    response: page(roll),
  }),
  judge: endpoint('PUT', '/api/rolls/:id', 'member', 'How a film came out (members: their own)', {
    params: idParams,
    body: z.strictObject({
      version,
      result: roll.shape.result,
      contrast: roll.shape.contrast,
      faults: roll.shape.faults.max(10).optional(),
      densities: readDensities.nullable().optional(),
      note,
    }),
    response: roll,
  }),
  clearMark: endpoint('POST', '/api/rolls/:id/marks/:markId/clear', 'technician', 'What was done about a film a failed test had marked', {
    params: z.strictObject({ id, markId: id }),
    body: z.strictObject({ what: reason }),
    response: roll,
  }),
}
export type RunSummary = z.infer<typeof runSummary>
export type Run = z.infer<typeof run>
export type Roll = z.infer<typeof roll>
export type Vessel = z.infer<typeof vessel>
