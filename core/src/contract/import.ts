import { z } from 'zod'
import { amount, done, id, idParams, millis, version } from './common'
import { chartBody } from './chart'
import { endpoint } from './endpoint'
import { formulaBody } from './formula'

export const importKind = z.enum(['formulas', 'jars', 'chart'])

/** One row as it would be written: a new one has no version (or says so), a changed one names the version it was based on. */
export const importRow = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('formulas'), id, version: version.nullable(), body: formulaBody }),
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
    body: z.strictObject(chartBody),
  }),
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
