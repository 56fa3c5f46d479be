import { z } from 'zod'
import { containers, entryKinds } from '../bottle/bottle'
import { throughputKinds } from '../bottle/throughput'
import { testKinds } from '../proof/proof'
import { amount, celsius, done, id, idParams, millis, note, parts, positive, reason, version } from '../shape/common'
import { bathPlace, brought } from '../bottle/bottle'
import { chartBody } from './chart'
import { endpoint } from './endpoint'
import { formulaBody, formulaUse } from './formula'
import { vesselBody } from './run'
import { printRows } from './importPrint'
import { shelfBody } from './shelf'

const printKinds = ['papers', 'enlargers', 'calibrations', 'prints', 'swatches', 'lamps', 'coated'] as const
const importKind = z.enum(['formulas', 'shelves', 'tanks', 'jars', 'chart', 'bottles', 'ledger', 'tests', ...printKinds])

/** One row as it would be written: a new one has no version (or says so), a changed one names the version it was based on. */
const importRow = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('formulas'),
    id,
    version: version.nullable(),
    body: formulaBody,
    /** why it is kept in spite of a grave finding */
    overrule: reason.optional(),
  }),
  z.strictObject({ kind: z.literal('shelves'), id, version: version.nullable(), body: z.strictObject(shelfBody) }),
  z.strictObject({ kind: z.literal('tanks'), id, version: version.nullable(), body: z.strictObject(vesselBody) }),
  z.strictObject({
    kind: z.literal('jars'),
    id,
    version: version.nullable(),
    grams: amount.max(100_000),
    body: z.strictObject({
      chemical: z.string().min(1).max(80),
      lot: z.string().trim().max(60),
      place: z.string().trim().max(60),
      openedAt: millis.nullable(),
      assay: z.number().gt(0).max(1.2).nullable(),
      pricePerKg: z.number().min(0).max(100_000).nullable(),
      reorderG: amount.max(100_000).nullable(),
    }),
  }),
  z.strictObject({
    kind: z.literal('chart'),
    id,
    isNew: z.boolean(),
    /** the version it was understood against; a row changed meanwhile is not written over */
    version: z.int().min(1).optional(),
    body: z.strictObject(chartBody),
  }),
  z.strictObject({
    kind: z.literal('bottles'),
    id,
    body: z.strictObject({
      code: z
        .string()
        .regex(/^[2-9A-HJKMNP-Z]{6}$/)
        .nullable(),
      formulaId: id,
      parts: parts.nullable(),
      sizeMl: positive.max(100_000),
      madeAt: millis,
      shelfId: id.nullable(),
      /** bottles of the same one were mixed together */
      batchId: id.nullable(),
      ph: z.number().min(0).max(14).nullable(),
      ownUse: formulaUse.nullable(),
      retired: z.strictObject({ at: millis, why: note }).nullable(),
    }),
  }),
  z.strictObject({
    kind: z.literal('ledger'),
    id,
    body: z.strictObject({
      bottleId: id,
      what: z.enum(entryKinds),
      at: millis,
      ml: z.number().min(-1_000_000).max(1_000_000),
      throughput: z.array(z.strictObject({ kind: z.enum(throughputKinds), equivalents: z.number().gt(0).max(1000) })).max(10),
      waterInMl: amount,
      reverses: id.nullable(),
      container: z.enum(containers).nullable(),
      celsius: celsius.nullable(),
      brings: brought.nullable(),
      twoBath: bathPlace.nullable(),
      otherBottleId: id.nullable(),
      groupId: id.nullable(),
      overrules: z.enum(testKinds).nullable(),
      note,
    }),
  }),
  z.strictObject({
    kind: z.literal('tests'),
    id,
    body: z.strictObject({
      bottleId: id,
      test: z.enum(testKinds),
      at: millis,
      value: z.number().min(0).max(100_000).nullable(),
      look: z.string().max(30).nullable(),
      freshBeside: z.number().min(0).max(5).nullable(),
      celsius: celsius.nullable(),
      /** null where the kind of film was not said */
      slowClearing: z.boolean().nullable(),
      base: z.number().min(0).max(3).nullable(),
      doubtful: z.string().trim().min(3).max(500).nullable(),
      approximate: z.boolean(),
      fresh: z.boolean(),
      note,
    }),
  }),
  ...printRows,
])
export const importPortion = 500
const counts = z.object({ staged: z.int(), rows: z.int() })

export const importApi = {
  begin: endpoint('POST', '/api/imports', 'technician', 'Begin an import: nothing is written until it is applied', {
    body: z.strictObject({ id, kind: importKind, rows: z.int().min(1).max(50_000) }),
    response: counts,
  }),
  stage: endpoint('POST', '/api/imports/:id/rows', 'technician', 'Send a portion of the rows', {
    params: idParams,
    bodyBytes: 6_000_000,
    body: z.strictObject({ from: z.int().min(0), rows: z.array(importRow).min(1).max(importPortion) }),
    response: counts,
  }),
  apply: endpoint('POST', '/api/imports/:id/apply', 'technician', 'Write all rows, or none', {
    params: idParams,
    response: z.object({ written: z.int() }),
  }),
  cancel: endpoint('POST', '/api/imports/:id/cancel', 'technician', 'Drop the rows that were sent', { params: idParams, response: done }),
}
export type ImportRow = z.infer<typeof importRow>
