import { z } from 'zod'
import { families } from '../mark/mark'
import { amount, id, idParams, listQuery, note, page, parts, positive, reason, version } from './common'
import { endpoint } from './endpoint'
import { formulaUse } from './formula'

const entryKind = z.enum(['fill', 'dilute-out', 'pour-out', 'pour-back', 'use', 'top-up', 'discard', 'correct', 'reverse'])
export const finding = z.object({
  rule: z.string(),
  severity: z.enum(['error', 'warning', 'advice']),
  step: z.int().optional(),
  message: z.string(),
})

export const bottleState = z.object({
  volumeMl: z.number(),
  rolls: z.number(),
  paper: z.number(),
  used: z.number(),
  aged: z.number(),
  remaining: z.number(),
  governs: z.enum(['use', 'age', 'volume']),
  rollsLeft: z.number().nullable(),
  ageDays: z.number(),
  keepsDays: z.number().nullable(),
  nextTimeFactor: z.number(),
  strength: z.number(),
  silverGPerL: z.number().nullable(),
  findings: z.array(finding),
})

export const bottle = z.object({
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
  sizeMl: z.number(),
  parts: z.array(z.number()).nullable(),
  madeAt: z.number(),
  madeBy: z.string(),
  retiredAt: z.number().nullable(),
  retiredWhy: z.string().nullable(),
  use: formulaUse,
  rangeC: z.tuple([z.number(), z.number()]).nullable(),
  temperatureCoefficient: z.number().nullable(),
  usualS: z.number().nullable(),
  state: bottleState,
})
export const ledgerEntry = z.object({
  id,
  kind: entryKind,
  at: z.number(),
  by: z.string(),
  ml: z.number(),
  rolls: z.number(),
  paper: z.number(),
  note: z.string(),
  runId: id.nullable(),
  runNumber: z.int().nullable(),
  reverses: id.nullable(),
  reversedBy: id.nullable(),
  balanceMl: z.number(),
})
export const bottlePage = bottle.extend({
  ledger: z.array(ledgerEntry),
  ph: z.number().nullable(),
  mixedFrom: z.string().nullable(),
  batchNote: z.string(),
})

export const bottleApi = {
  list: endpoint('GET', '/api/bottles', 'member', 'The shelf: every bottle and what it has left', {
    query: z.strictObject({ ...listQuery.shape, retired: z.stringbool().default(false) }),
    response: page(bottle),
  }),
  get: endpoint('GET', '/api/bottles/:id', 'member', 'One bottle with its ledger', { params: idParams, response: bottlePage }),
  bring: endpoint('POST', '/api/bottles', 'technician', 'A bought concentrate or kit comes onto the shelf', {
    body: z
      .strictObject({ id, formulaId: id, sizeMl: positive.max(100_000), ml: positive.max(100_000) })
      .refine((one) => one.ml <= one.sizeMl, 'A bottle holds no more than its size.'),
    response: bottle,
  }),
  dilute: endpoint('POST', '/api/bottles/:id/dilute', 'technician', 'Make working strength: takes the concentrate from this bottle', {
    params: idParams,
    body: z
      .strictObject({ newId: id, parts: parts.min(2), totalMl: positive.max(100_000), sizeMl: positive.max(100_000) })
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
  pour: endpoint('POST', '/api/bottles/:id/entries', 'technician', 'Write a line into the ledger', {
    params: idParams,
    body: z.strictObject({
      entryId: id,
      kind: z.enum(['pour-out', 'pour-back', 'top-up', 'discard', 'use']),
      ml: amount,
      rolls: z.number().min(0).max(1000).default(0),
      paper: z.number().min(0).max(1000).default(0),
      note: note.default(''),
    }),
    response: bottlePage,
  }),
  reverse: endpoint('POST', '/api/bottles/:id/entries/:entryId/reverse', 'technician', 'Take a wrong line back', {
    params: z.strictObject({ id, entryId: id }),
    body: z.strictObject({ newId: id, reason }),
    response: bottlePage,
  }),
  retire: endpoint('POST', '/api/bottles/:id/retire', 'technician', 'Take a bottle out of use', {
    params: idParams,
    body: z.strictObject({ version, reason }),
    response: bottle,
  }),
}
export type Bottle = z.infer<typeof bottle>
export type BottlePage = z.infer<typeof bottlePage>
export type LedgerEntry = z.infer<typeof ledgerEntry>
