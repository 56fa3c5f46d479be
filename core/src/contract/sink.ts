import { z } from 'zod'
import { finding } from '../finding'
import { id, idParams, listQuery, name, page, reason, version } from '../shape/common'
import { dischargeRule } from '../waste/discharge'
import { drumSources } from '../waste/drum'
import { drums } from '../waste/drumIds'
import { recoveryBody } from '../waste/recovery'
import { sinkFacts } from '../waste/sinkFacts'
import { endpoint } from './endpoint'
import { wasteRow } from './shelf'

const held = z.array(z.object({ chemical: z.string(), grams: z.number() }))
const family = z.enum(drums)
const drum = z.object({
  ...{ id, version, code: z.string(), family, metal: z.string().nullable(), volumeMl: z.number(), tareKg: z.number(), vented: z.boolean() },
  ...{ trayId: z.string().nullable(), labelledAt: z.number().nullable(), sealedAt: z.number().nullable() },
  ...{ quarantinedAt: z.number().nullable(), quarantinedWhy: z.string().nullable(), pickupId: z.string().nullable() },
  collectedAt: z.number().nullable(),
  /** as the contractor weighed it, with the drum */
  collectedKg: z.number().nullable(),
  /** by its lines */
  state: z.object({
    standing: z.enum(['empty', 'open', 'sealed', 'collected', 'quarantined']),
    ...{ ml: z.number(), kg: z.number(), silverG: z.number(), roomMl: z.number(), unknownMl: z.number() },
    ...{ firstAt: z.number().nullable(), lastAt: z.number().nullable(), contents: held },
    ...{ lowestPh: z.number().nullable(), highestPh: z.number().nullable() },
    weighed: z.object({ at: z.number(), readingKg: z.number() }).nullable(),
  }),
  findings: z.array(finding),
})
const line = z.object({
  ...{
    id,
    at: z.number(),
    by: z.string(),
    kind: z.enum(['pour', 'reverse', 'weigh']),
    ml: z.number(),
    gPerMl: z.number(),
    silverG: z.number(),
  },
  ...{ source: z.enum(drumSources), ph: z.number().nullable(), readingKg: z.number().nullable(), reverses: z.string().nullable() },
  /** it was taken back by another line */
  over: z.boolean(),
  note: z.string(),
  /** the bottle it came from, where it did */
  bottleId: z.string().nullable(),
})
const funnel = z.object({
  ...{ id, version, name: z.string(), rinsedAt: z.number() },
  /** the family that went through it last and was not rinsed out */
  last: z.object({ family: z.enum(drums), ml: z.number(), contents: held.nullable() }).nullable(),
})
const pickup = z.object({
  ...{ id, version, number: z.int(), contractor: z.string(), licence: z.string(), handedBy: z.string(), at: z.number() },
  ...{ collectedAt: z.number().nullable(), receipt: z.string().nullable() },
  /** its file, by its name */
  file: z.string().nullable(),
  drums: z.array(
    z.object({ id, code: z.string(), family, ml: z.number(), kg: z.number(), silverG: z.number(), collectedKg: z.number().nullable() }),
  ),
})
const recovery = z.object({
  ...{ id, at: z.number(), by: z.string(), drumId: z.string().nullable(), drum: z.string().nullable(), body: recoveryBody },
  ...{ leftG: z.number(), foundG: z.number(), findings: z.array(finding) },
})
/** `ended`: its paper has ended, and nothing is allowed; `todayMl` went down this day */
const rule = z.object({ version, ...dischargeRule.shape, ended: z.boolean(), todayMl: z.number() })
const drainLine = z.object({
  ...{ id, at: z.number(), by: z.string(), family, ml: z.number(), paper: z.string() },
  /** it was taken back by another line */
  over: z.boolean(),
})
const sinkPage = z.object({
  facts: z.object({ version, ...sinkFacts.shape }),
  /** those that were not collected */
  drums: z.array(drum),
  funnels: z.array(funnel),
  /** what left bottles and runs and stands in no drum yet */
  pending: z.array(wasteRow),
  rules: z.array(rule),
})
/** g of silver of this calendar year: in what was poured away, and recovered; and what stands in drums and in fixers in use */
const silver = z.object({ year: z.int(), pouredG: z.number(), recoveredG: z.number(), inDrumsG: z.number(), inUseG: z.number() })

export const sinkApi = {
  get: endpoint('GET', '/api/sink', 'technician', 'Drums, what waits to be poured into them, and what the house says of its sink', {
    response: sinkPage,
  }),
  silver: endpoint('GET', '/api/sink/silver', 'technician', 'Where the silver is, and what became of this year’s', { response: silver }),
  facts: endpoint('PUT', '/api/sink', 'technician', 'Who is responsible, how large the room is, how drums are judged', {
    body: z.strictObject({ version, ...sinkFacts.shape }),
    response: z.object({ version, ...sinkFacts.shape }),
  }),
  make: endpoint('POST', '/api/drums', 'technician', 'A drum for one family', {
    body: z.strictObject({
      ...{ id, family, metal: name.nullable(), volumeMl: z.number().gt(0).max(1_000_000), tareKg: z.number().min(0).max(1000) },
      ...{ vented: z.boolean(), trayId: id.nullable() },
    }),
    response: drum,
  }),
  drum: endpoint('GET', '/api/drums/:id', 'technician', 'A drum with its ledger, the newest line first', {
    params: idParams,
    query: z.strictObject({ limit: listQuery.shape.limit }),
    response: z.object({ drum, lines: z.array(line), more: z.boolean() }),
  }),
  change: endpoint('PUT', '/api/drums/:id', 'technician', 'Another cap, another tray', {
    params: idParams,
    body: z.strictObject({ version, vented: z.boolean(), trayId: id.nullable() }),
    response: drum,
  }),
  label: endpoint('POST', '/api/drums/:id/label', 'technician', 'Its label is on it', {
    params: idParams,
    body: z.strictObject({ version }),
    response: drum,
  }),
  seal: endpoint('POST', '/api/drums/:id/seal', 'technician', 'It takes no more', {
    params: idParams,
    body: z.strictObject({ version }),
    response: drum,
  }),
  quarantine: endpoint('POST', '/api/drums/:id/quarantine', 'technician', 'Something is in it that must not be: nobody opens it any more', {
    params: idParams,
    body: z.strictObject({ version, why: reason }),
    response: drum,
  }),
  pour: endpoint('POST', '/api/drums/:id/pour', 'technician', 'What waits, or what comes from elsewhere, goes into a drum', {
    params: idParams,
    body: z.strictObject({
      /** lines of what was poured away, all of them or none */
      waste: z.array(z.strictObject({ wasteId: id, entryId: id })).max(50),
      /** what no ledger knows: a tray line, a spill, a rinse */
      other: z
        .strictObject({
          ...{ entryId: id, family, source: z.enum(['batch', 'tray', 'wash', 'other']), ml: z.number().gt(0).max(1_000_000) },
          ...{ silverG: z.number().min(0).max(100_000), metal: name.nullable(), note: z.string().trim().max(500) },
        })
        .nullable(),
      ph: z.number().min(-2).max(16).nullable(),
      funnelId: id.nullable(),
      /** whose hands pour; whoever is signed in where nobody is named */
      handId: id.optional(),
    }),
    response: drum,
  }),
  weigh: endpoint('POST', '/api/drums/:id/weigh', 'technician', 'What the scales say of it', {
    params: idParams,
    body: z.strictObject({ entryId: id, readingKg: z.number().gt(0).max(2000) }),
    response: drum,
  }),
  takeBack: endpoint('POST', '/api/drums/:id/entries/:entryId/take-back', 'technician', 'Take a line back by a second one', {
    params: z.strictObject({ id, entryId: id }),
    body: z.strictObject({ entryId: id, why: reason }),
    response: drum,
  }),
  funnel: endpoint('POST', '/api/funnels', 'technician', 'A funnel that goes from drum to drum', {
    body: z.strictObject({ id, name }),
    response: funnel,
  }),
  rinsed: endpoint('POST', '/api/funnels/:id/rinsed', 'technician', 'It was rinsed', {
    params: idParams,
    body: z.strictObject({ version }),
    response: funnel,
  }),
  pickups: endpoint('GET', '/api/pickups', 'technician', 'Collections, the newest first', { query: listQuery, response: page(pickup) }),
  arrange: endpoint('POST', '/api/pickups', 'technician', 'Sealed drums wait for a contractor', {
    body: z.strictObject({ id, drumIds: z.array(id).min(1).max(60), contractor: name, licence: name, handedBy: name }),
    response: pickup,
  }),
  collected: endpoint('POST', '/api/pickups/:id/collected', 'technician', 'The contractor has them: what each weighed, and the receipt', {
    params: idParams,
    body: z.strictObject({
      version,
      receipt: name,
      weights: z
        .array(z.strictObject({ drumId: id, kg: z.number().gt(0).max(2000) }))
        .min(1)
        .max(60),
    }),
    response: pickup,
  }),
  putReceipt: endpoint('PUT', '/api/pickups/:id/receipt', 'technician', 'The receipt as a file', {
    params: idParams,
    body: z.strictObject({ name }),
    response: pickup,
    upload: 8_000_000,
  }),
  getReceipt: endpoint('GET', '/api/pickups/:id/receipt', 'technician', 'The receipt', { params: idParams, file: true }),
  recoveries: endpoint('GET', '/api/recoveries', 'technician', 'Silver that was recovered, the newest first', {
    query: listQuery,
    response: page(recovery),
  }),
  recover: endpoint('POST', '/api/recoveries', 'technician', 'Write down what was recovered', {
    body: z.strictObject({ id, drumId: id.nullable(), body: recoveryBody }),
    response: recovery,
  }),
  recoverBack: endpoint('POST', '/api/recoveries/:id/take-back', 'technician', 'Take a recovery back', {
    params: idParams,
    body: z.strictObject({ entryId: id }),
    response: z.object({ done: z.literal(true) }),
  }),
  drain: endpoint('POST', '/api/drain', 'technician', 'A line of what waits goes down the drain, by the paper that allows it', {
    body: z.strictObject({ wasteId: id, entryId: id, family }),
    response: z.object({ done: z.literal(true) }),
  }),
  drained: endpoint('GET', '/api/drain', 'technician', 'What went down the drain, the newest first', {
    query: z.strictObject({ limit: listQuery.shape.limit }),
    response: z.object({ lines: z.array(drainLine), more: z.boolean() }),
  }),
  drainBack: endpoint('POST', '/api/drain/:id/take-back', 'technician', 'Take a line of it back by a second one', {
    params: idParams,
    body: z.strictObject({ entryId: id, why: reason }),
    response: z.object({ done: z.literal(true) }),
  }),
  allow: endpoint('PUT', '/api/discharge', 'technician', 'What a paper lets of a family go down the drain', {
    body: z.strictObject({ version: version.nullable(), ...dischargeRule.shape }),
    response: rule,
  }),
  forbid: endpoint('DELETE', '/api/discharge/:family', 'technician', 'Nothing of it goes down the drain any more', {
    params: z.strictObject({ family }),
    body: z.strictObject({ version }),
    response: z.object({ done: z.literal(true) }),
  }),
}
export type SinkPage = z.infer<typeof sinkPage>
export type Drum = z.infer<typeof drum>
export type DrumPageLine = z.infer<typeof line>
export type Funnel = z.infer<typeof funnel>
export type Pickup = z.infer<typeof pickup>
export type Recovery = z.infer<typeof recovery>
export type DischargeRow = z.infer<typeof rule>
export type DrainLine = z.infer<typeof drainLine>
