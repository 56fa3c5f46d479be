import { z } from 'zod'
import { storageGroups } from '../jar/storage'
import { amount, done, id, idParams, listQuery, millis, note, page, positive, reason, version } from '../shape/common'
import { endpoint } from './endpoint'

const grams = positive.max(100_000)
const facts = {
  lot: z.string().trim().max(60),
  place: z.string().trim().max(60),
  openedAt: millis.nullable(),
  /** share of the product that is the substance, from its sheet; null takes the usual one */
  assay: z.number().gt(0).max(1.2).nullable(),
  /** in the darkroom's currency */
  pricePerKg: z.number().min(0).max(100_000).nullable(),
  /** g of this chemical, all its jars together, below which it is time to order */
  reorderG: amount.max(100_000).nullable(),
  /** null takes the chemical's own */
  storage: z.enum(storageGroups).nullable(),
  /** g in one level spoon of this powder, measured here; never used for developing agents */
  spoonG: positive.max(100).nullable(),
}
const sheet = z.object({ name: z.string(), type: z.string(), bytes: z.int() })
const jar = z.object({ id, version, code: z.string(), chemical: z.string(), grams: z.number(), ...facts, sheet: sheet.nullable() })
const jarEntry = z.object({
  id,
  kind: z.enum(['receive', 'consume', 'correct', 'discard', 'reverse']),
  grams: z.number(),
  balanceG: z.number(),
  at: z.number(),
  by: z.string(),
  note: z.string(),
  mixId: id.nullable(),
  reverses: id.nullable(),
  reversedBy: id.nullable(),
})
const jarPage = jar.extend({ ledger: z.array(jarEntry) })

const optional = {
  openedAt: facts.openedAt.default(null),
  assay: facts.assay.default(null),
  pricePerKg: facts.pricePerKg.default(null),
  reorderG: facts.reorderG.default(null),
  storage: facts.storage.default(null),
  spoonG: facts.spoonG.default(null),
}
export const sheetTypes = ['application/pdf', 'image/png', 'image/jpeg'] as const
/** most that a safety sheet may hold */
export const sheetBytes = 8_000_000

export const jarApi = {
  list: endpoint('GET', '/api/jars', 'technician', 'The jars of raw chemicals with what they hold', {
    query: listQuery,
    response: page(jar),
  }),
  get: endpoint('GET', '/api/jars/:id', 'technician', 'One jar with its ledger', { params: idParams, response: jarPage }),
  receive: endpoint('POST', '/api/jars', 'technician', 'A new jar on the shelf', {
    body: z.strictObject({ id, entryId: id, chemical: z.string().min(1).max(80), grams, lot: facts.lot, place: facts.place, ...optional }),
    response: jar,
  }),
  change: endpoint('PUT', '/api/jars/:id', 'technician', 'Change what is known of a jar; what it holds changes through its ledger', {
    params: idParams,
    body: z.strictObject({ version, ...facts }),
    response: jarPage,
  }),
  write: endpoint('POST', '/api/jars/:id/entries', 'technician', 'Write a line into the jar’s ledger', {
    params: idParams,
    body: z.strictObject({ entryId: id, kind: z.enum(['receive', 'consume', 'discard']), grams, note: note.default('') }),
    response: jarPage,
  }),
  reverse: endpoint('POST', '/api/jars/:id/entries/:entryId/reverse', 'technician', 'Take a wrong line of a jar back', {
    params: z.strictObject({ id, entryId: id }),
    body: z.strictObject({ newId: id, reason }),
    response: jarPage,
  }),
  count: endpoint('POST', '/api/jars/:id/count', 'technician', 'Stock-take: what the jar really holds', {
    params: idParams,
    body: z.strictObject({
      entryId: id,
      grams: amount.max(100_000),
      /** g the counter was shown */ expectedG: amount.max(100_000),
      reason: reason.default('stock-take'),
    }),
    response: jarPage,
  }),
  putSheet: endpoint('PUT', '/api/jars/:id/sheet', 'technician', 'Attach the supplier’s safety sheet', {
    params: idParams,
    body: z.strictObject({ name: z.string().trim().min(1).max(160) }),
    upload: sheetBytes,
    response: jarPage,
  }),
  getSheet: endpoint('GET', '/api/jars/:id/sheet', 'technician', 'The supplier’s safety sheet', { params: idParams, file: true }),
  removeSheet: endpoint('DELETE', '/api/jars/:id/sheet', 'technician', 'Take the safety sheet off a jar', {
    params: idParams,
    response: done,
  }),
}
export type Jar = z.infer<typeof jar>
export type JarPage = z.infer<typeof jarPage>
export type JarEntry = z.infer<typeof jarEntry>
