import { z } from 'zod'
import { bathPlace, bottleState, brought, containers, entryKinds } from '../bottle/bottle'
import type { LifeCurve } from '../bottle/lifeCurve'
import { throughputKinds } from '../bottle/throughput'
import { families } from '../mark/mark'
import { testKinds, testMark } from '../proof/proof'
import { amount, find, id, idParams, listQuery, note, page, parts, positive, reason, version } from '../shape/common'
import { drums } from '../waste/drumIds'
import { intoDrums } from '../waste/intoDrums'
import { endpoint } from './endpoint'
import { formulaUse } from './formula'

const due = z.object({ kind: z.enum(testKinds), name: z.string(), why: z.string(), says: z.string() })

const bottle = z.object({
  id,
  version,
  /** on the tape, such as D5 */
  label: z.string(),
  /** unique, six characters, on the printed label */
  code: z.string(),
  name: z.string(),
  family: z.enum(families),
  formulaId: id,
  formulaNumber: z.int(),
  batchId: id.nullable(),
  /** pH at the closing check of its batch */
  ph: z.number().nullable(),
  sizeMl: z.number(),
  parts: z.array(z.number()).nullable(),
  madeAt: z.number(),
  madeBy: z.string(),
  retiredAt: z.number().nullable(),
  retiredWhy: z.string().nullable(),
  shelfId: id.nullable(),
  use: formulaUse,
  /** `use` is this bottle's own, not its formula's */
  ownUse: z.boolean(),
  rangeC: z.tuple([z.number(), z.number()]).nullable(),
  temperatureCoefficient: z.number().nullable(),
  usualS: z.number().nullable(),
  state: bottleState,
  /** tests due now, and what stands before a critical session beside them */
  due: z.array(due),
  critical: z.array(due),
  /** a batch in it whose pH was off when it was mixed, until someone says why not */
  phOff: z
    .object({ batchId: id, ph: z.number(), celsius: z.number().nullable(), expected: z.number(), uncertainty: z.number() })
    .nullable()
    .optional(),
  /** the kit it is a bath of, with what went through all of it */
  kit: z
    .object({ setId: id, kitId: id, number: z.int(), name: z.string(), rolls: z.number(), rollsLeft: z.number(), used: z.number() })
    .nullable()
    .optional(),
  /** what planned and running runs are promised of it: ml that will leave it, roll equivalents that will go through */
  reserved: z.object({ ml: z.number(), rolls: z.number(), runs: z.array(z.int()) }).optional(),
  /** what the next evening wants of it, as it is planned: ml that are taken, rolls that go through */
  evening: z.object({ day: z.string(), ml: z.number(), rolls: z.number() }).nullable().optional(),
})
/** what went through: kinds and equivalents */
const throughput = z.object({ kind: z.enum(throughputKinds), equivalents: z.number() })
/** what a bottle would hold after an act, with the lines that would be written */
export const wouldHold = z.object({
  bottleId: id,
  label: z.string(),
  beforeMl: z.number(),
  afterMl: z.number(),
  lines: z.array(z.object({ kind: z.enum(entryKinds), throughput: z.array(throughput) })),
})
const ledgerEntry = z.object({
  id,
  kind: z.enum(entryKinds),
  at: z.number(),
  by: z.string(),
  ml: z.number(),
  throughput: z.array(throughput),
  note: z.string(),
  runId: id.nullable(),
  runNumber: z.int().nullable(),
  /** the bottle on the other side of it */
  otherId: id.nullable(),
  otherLabel: z.string().nullable(),
  proofId: id.nullable(),
  test: testMark.nullable(),
  reverses: id.nullable(),
  reversedBy: id.nullable(),
  balanceMl: z.number(),
})
/** A line as it goes into a file. */
const ledgerLine = z.object({
  id,
  bottleId: id,
  kind: z.enum(entryKinds),
  at: z.number(),
  by: z.string(),
  ml: z.number(),
  throughput: z.array(throughput),
  waterInMl: z.number(),
  reverses: id.nullable(),
  container: z.enum(containers).nullable(),
  celsius: z.number().nullable(),
  brings: brought.nullable(),
  twoBath: bathPlace.nullable(),
  otherBottleId: id.nullable(),
  groupId: id.nullable(),
  /** the kind of test whose failure this line overrules */
  overrules: z.enum(testKinds).nullable(),
  note: z.string(),
})
const decant = z.object({ into: z.array(z.number()), daysLonger: z.number(), lostPerOpening: z.number().nullable() })
export const bottlePage = bottle.extend({
  /** newest first; older lines are asked for by the last one's id */
  ledger: z.array(ledgerEntry),
  more: z.boolean(),
  mixedFrom: z.string().nullable(),
  batchNote: z.string(),
  decant: decant.nullable(),
  /** the drum of what is in it; null where no family is for it */
  drum: z.enum(drums).nullable(),
  /** share of the sulfite the air above it destroys at each opening; null where it holds none */
  lostPerOpening: z.number().nullable(),
  runs: z.array(z.object({ id, number: z.int(), at: z.number(), films: z.array(z.string()), rolls: z.number() })),
})

/** Why a bottle is used that should not be; stays on the record. */
const overrule = reason.optional()
const filled = z
  .strictObject({ id, sizeMl: positive.max(100_000), ml: positive.max(100_000) })
  .refine((one) => one.ml <= one.sizeMl, 'A bottle holds no more than its size.')

export const bottleApi = {
  list: endpoint('GET', '/api/bottles', 'member', 'The shelf: every bottle and what it has left', {
    // a whole shelf at once, as a darkroom has it: each page asks for what is the same for all of them anew
    query: z.strictObject({
      ...listQuery.shape,
      limit: z.coerce.number().int().min(1).max(500).default(500),
      retired: z.stringbool().default(false),
    }),
    response: page(bottle),
  }),
  retired: endpoint(
    'GET',
    '/api/bottles/retired',
    'member',
    'Retired bottles, the last first; `find` is part of a label, a code or a name',
    {
      query: z.strictObject({ ...listQuery.shape, find }),
      response: page(bottle),
    },
  ),
  get: endpoint('GET', '/api/bottles/:id', 'member', 'One bottle with its ledger', { params: idParams, response: bottlePage }),
  ledger: endpoint('GET', '/api/bottles/:id/ledger', 'member', 'Older lines of a bottle’s ledger', {
    params: idParams,
    query: listQuery,
    response: z.object({ rows: z.array(ledgerEntry), more: z.boolean() }),
  }),
  lines: endpoint('GET', '/api/ledger', 'technician', 'Lines of every bottle’s ledger, oldest first', {
    query: listQuery,
    response: page(ledgerLine),
  }),
  life: endpoint('GET', '/api/bottles/:id/life', 'member', 'Use and age over time, and on to its end', {
    params: idParams,
    response: z.custom<LifeCurve>((value) => typeof value === 'object' && value !== null),
  }),
  bring: endpoint('POST', '/api/bottles', 'technician', 'A bought concentrate or kit comes onto the shelf', {
    body: z
      .strictObject({ id, formulaId: id, sizeMl: positive.max(100_000), ml: positive.max(100_000) })
      .refine((one) => one.ml <= one.sizeMl, 'A bottle holds no more than its size.'),
    response: bottle,
  }),
  dilute: endpoint('POST', '/api/bottles/:id/dilute', 'technician', 'Make working strength: takes the concentrate from this bottle', {
    params: idParams,
    body: z
      .strictObject({ newId: id, parts: parts.min(2), totalMl: positive.max(100_000), sizeMl: positive.max(100_000), overrule })
      .refine((one) => one.totalMl <= one.sizeMl, 'A bottle holds no more than its size.'),
    response: z.object({ from: bottle, made: bottle }),
  }),
  combine: endpoint('POST', '/api/bottles/combine', 'technician', 'Pour the parts of a formula together, in their order, with water', {
    body: z
      .strictObject({
        newId: id,
        formulaId: id,
        /** one bottle a part, in the formula's order */
        from: z.array(id).min(2).max(4),
        parts: parts.min(2),
        totalMl: positive.max(100_000),
        sizeMl: positive.max(100_000),
      })
      .refine((one) => one.totalMl <= one.sizeMl, 'A bottle holds no more than its size.'),
    response: bottle,
  }),
  decant: endpoint('POST', '/api/bottles/:id/decant', 'technician', 'Decant it, or split it into several: each takes its history along', {
    params: idParams,
    body: z.strictObject({ into: z.array(filled).min(1).max(8), overrule }),
    response: z.object({ from: bottle, made: z.array(bottle) }),
  }),
  pour: endpoint('POST', '/api/bottles/:id/entries', 'technician', 'Write a line into the ledger', {
    params: idParams,
    body: z.strictObject({
      entryId: id,
      kind: z.enum(['pour-out', 'pour-back', 'top-up', 'water', 'evaporate', 'discard', 'use']),
      ml: amount,
      rolls: z.number().min(0).max(1000).default(0),
      paper: z.number().min(0).max(1000).default(0),
      /** what the paper is: fibre bears less silver than RC */
      paperKind: z.enum(['rc-paper', 'fibre-paper']).optional(),
      colourRolls: z.number().min(0).max(1000).default(0),
      /** water a pre-wet load carried in */
      waterInMl: amount.default(0),
      /** topped up from this bottle */
      fromId: id.optional(),
      note: note.default(''),
      overrule,
      /** drums that what is poured away goes into at once */
      into: intoDrums,
    }),
    response: bottle,
  }),
  measure: endpoint(
    'POST',
    '/api/bottles/:id/measure',
    'technician',
    'What it holds, measured: the difference to its lines becomes a line',
    {
      params: idParams,
      body: z.strictObject({ entryId: id, ml: amount, note: note.default('') }),
      response: bottle,
    },
  ),
  replenish: endpoint(
    'POST',
    '/api/bottles/:id/replenish',
    'technician',
    'Water for what evaporated, replenisher in, the bleed to the waste',
    {
      params: idParams,
      body: z.strictObject({
        entryId: id,
        ml: positive.max(100_000),
        evaporatedMl: amount.default(0),
        fromId: id.optional(),
        overrule,
        into: intoDrums,
      }),
      response: bottle,
    },
  ),
  move: endpoint('POST', '/api/bottles/:id/move', 'technician', 'To another shelf, or into another kind of container', {
    params: idParams,
    body: z.strictObject({ entryId: id, shelfId: id.optional(), container: z.enum(containers).optional() }),
    response: bottle,
  }),
  pair: endpoint('POST', '/api/bottles/pair', 'technician', 'Two fixing baths become a pair', {
    body: z.strictObject({ firstId: id, secondId: id }),
    response: z.object({ first: bottle, second: bottle }),
  }),
  moveUp: endpoint(
    'POST',
    '/api/bottles/:id/move-up',
    'technician',
    'The second bath becomes the first: the old first is discarded, a fresh second stands in',
    {
      params: idParams,
      body: z.strictObject({ firstId: id, freshId: id }),
      response: z.object({ first: bottle, second: bottle }),
    },
  ),
  change: endpoint('POST', '/api/bottles/:id/use', 'technician', 'Use this bottle otherwise than its formula says; null goes back to it', {
    params: idParams,
    body: z.strictObject({ version, use: formulaUse.nullable(), reason }),
    response: bottle,
  }),
  wrong: endpoint('POST', '/api/bottles/:id/wrong', 'technician', 'Poured into the wrong bottle: both are retired', {
    params: idParams,
    body: z.strictObject({ entryId: id, intoId: id, ml: positive.max(100_000), reason }),
    response: z.object({ from: bottle, into: bottle }),
  }),
  wouldReverse: endpoint(
    'GET',
    '/api/bottles/:id/entries/:entryId/reverse',
    'technician',
    'What taking a line back would write, in every bottle it was written with',
    { params: z.strictObject({ id, entryId: id }), response: z.object({ would: z.array(wouldHold) }) },
  ),
  reverse: endpoint('POST', '/api/bottles/:id/entries/:entryId/reverse', 'technician', 'Take a wrong line back', {
    params: z.strictObject({ id, entryId: id }),
    body: z.strictObject({ newId: id, reason }),
    response: bottlePage,
  }),
  retire: endpoint('POST', '/api/bottles/:id/retire', 'technician', 'Take a bottle out of use', {
    params: idParams,
    /** `discard`: what it holds goes to the waste */
    body: z.strictObject({ version, reason, discard: z.boolean().default(false), into: intoDrums }),
    response: bottle,
  }),
}
export type LedgerLine = z.infer<typeof ledgerLine>
export type Bottle = z.infer<typeof bottle>
export type BottlePage = z.infer<typeof bottlePage>
export type LedgerEntry = z.infer<typeof ledgerEntry>
