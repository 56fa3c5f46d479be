import { z } from 'zod'
import { families } from '../mark/mark'
import { testKinds } from '../proof/proof'
import { judgement, reading, reference } from '../proof/verdicts/judgement'
import { bottlePage } from './bottle'
import { celsius, done, id, idParams, listQuery, name, note, page, reason, version } from '../shape/common'
import { endpoint } from './endpoint'

const kind = z.enum(testKinds)
export const pictureBytes = 12_000_000
export const pictureTypes = ['image/png', 'image/jpeg'] as const
const unit = z.number().min(0).max(1)
const area = z.strictObject({ x: unit, y: unit, width: unit, height: unit })
/** Marked areas as shares of the picture's width and height. */
export const pictureMarks = z.strictObject({
  empty: area,
  fresh: area,
  scrap: area,
  /** clear film; absent where the picture shows none */
  base: area.optional(),
  wedge: z.array(z.strictObject({ area, density: z.number().min(0).max(4) })).max(24),
})

const proof = z.object({
  id,
  kind,
  at: z.number(),
  by: z.string(),
  bottleId: id.nullable(),
  bottleLabel: z.string().nullable(),
  batchId: id.nullable(),
  rollId: id.nullable(),
  film: z.string().nullable(),
  instrumentId: id.nullable(),
  instrument: z.string().nullable(),
  /** the batch's fresh reading */
  fresh: z.boolean(),
  reading,
  judgement,
  rollsPerL: z.number().nullable(),
  picture: z.boolean(),
  note: z.string(),
  /** its line in the ledger was taken back: it counts for nothing any more */
  takenBack: z.boolean(),
})
/** A run between the last good test and a failed one, and what still helps its films. */
const suspect = z.object({
  runId: id,
  runNumber: z.int(),
  at: z.number(),
  films: z.array(z.object({ rollId: id, film: z.string(), member: z.string() })),
})
const context = z.object({
  references: z.partialRecord(kind, reference),
  silverLimitGPerL: z.number().nullable(),
  hardening: z.boolean(),
  fixerClass: z.enum(['alum-hardening', 'acid', 'neutral', 'alkaline']).nullable(),
  /** s the bath usually takes */
  usualS: z.number().nullable(),
  proofs: z.array(proof),
})

const rule = z.object({
  id,
  version,
  family: z.enum(families),
  kind,
  atMixing: z.boolean(),
  everyDays: z.number().nullable(),
  everyShare: z.number().nullable(),
  beforeCritical: z.boolean(),
  active: z.boolean(),
})
const ruleBody = {
  atMixing: z.boolean(),
  everyDays: z.number().gt(0).max(3650).nullable(),
  everyShare: z.number().gt(0).max(1).nullable(),
  beforeCritical: z.boolean(),
  active: z.boolean(),
}

const point = z.strictObject({ readC: celsius, trueC: celsius })
const density = z.number().min(-0.5).max(5)
const strip = z.strictObject({ fog: density, low: density, high: density, max: density })
const limit = z.strictObject({ action: z.number().gt(0).max(2), control: z.number().gt(0).max(2) })
const limits = z.strictObject({ fog: limit, low: limit, contrast: limit, max: limit })
const instrument = z.object({
  id,
  version,
  kind: z.enum(['thermometer', 'lamp', 'process']),
  name: z.string(),
  /** the thermometer at the bench it is; its readings come corrected */
  deviceId: id.nullable(),
  points: z.array(point),
  /** lamps: minutes that are safe, null until tested */
  safeMinutes: z.number().nullable(),
  testedAt: z.number().nullable(),
  /** processes: a reference strip where there is one, and the limits */
  reference: strip.nullable(),
  limits: limits.nullable(),
  strips: z.array(z.object({ id, at: z.number(), by: z.string(), strip, batchId: id.nullable(), good: z.boolean() })),
})
const notice = z.object({ id, at: z.number(), text: z.string(), rollId: id.nullable(), read: z.boolean() })

export const proofApi = {
  list: endpoint('GET', '/api/proofs', 'technician', 'Tests, newest first', {
    query: z.strictObject({ ...listQuery.shape, bottleId: id.optional() }),
    response: page(proof),
  }),
  context: endpoint('GET', '/api/proofs/of/:id', 'technician', 'What a test of this bottle is held against, and its earlier tests', {
    params: idParams,
    response: context,
  }),
  write: endpoint('POST', '/api/proofs', 'technician', 'A test of a bottle or a film, judged here and written into its record', {
    upload: pictureBytes,
    body: z
      .strictObject({
        id,
        kind,
        bottleId: id.optional(),
        rollId: id.optional(),
        reading,
        fresh: z.boolean().default(false),
        thermometerId: id.optional(),
        note: note.default(''),
        picture: z
          .strictObject({
            name: z.string().trim().min(1).max(160),
            marks: pictureMarks,
          })
          .optional(),
      })
      .refine((one) => (one.bottleId === undefined) !== (one.rollId === undefined), 'A test is of a bottle or of a film.'),
    response: z.object({ proof, suspects: z.array(suspect) }),
  }),
  takeBack: endpoint(
    'POST',
    '/api/proofs/:id/take-back',
    'technician',
    'A test that was written by mistake, with all that followed from it',
    {
      params: idParams,
      body: z.strictObject({ newId: id, reason }),
      response: proof,
    },
  ),
  overrule: endpoint('POST', '/api/proofs/overrule', 'technician', 'Use a bath in spite of a failed or missing test, with the reason', {
    body: z.strictObject({ entryId: id, bottleId: id, kind, reason }),
    response: bottlePage,
  }),
  picture: endpoint('GET', '/api/proofs/:id/picture', 'technician', 'The photograph a density was read from', {
    params: idParams,
    file: true,
  }),
  rules: endpoint('GET', '/api/due-rules', 'technician', 'When tests fall due', { query: listQuery, response: page(rule) }),
  addRule: endpoint('POST', '/api/due-rules', 'technician', 'A rule for another test', {
    body: z.strictObject({ id, family: z.enum(families), kind, ...ruleBody }),
    response: rule,
  }),
  changeRule: endpoint('PUT', '/api/due-rules/:id', 'technician', 'Change when a test falls due', {
    params: idParams,
    body: z.strictObject({ version, ...ruleBody }),
    response: rule,
  }),
  instruments: endpoint(
    'GET',
    '/api/instruments',
    'member',
    'Thermometers, lamps, and processes with control strips (members: thermometers)',
    {
      query: listQuery,
      response: page(instrument),
    },
  ),
  addInstrument: endpoint('POST', '/api/instruments', 'technician', 'A thermometer, a lamp or a process to test', {
    body: z.strictObject({ id, kind: instrument.shape.kind, name, deviceId: id.nullable().default(null) }),
    response: instrument,
  }),
  thermometer: endpoint(
    'POST',
    '/api/instruments/:id/points',
    'technician',
    'Offsets of a thermometer: every later reading with it is corrected',
    {
      params: idParams,
      body: z.strictObject({ proofId: id, version, points: z.array(point).min(1).max(6) }),
      response: instrument,
    },
  ),
  lamp: endpoint('POST', '/api/instruments/:id/coin', 'technician', 'The shortest time whose coin shows; null where none does', {
    params: idParams,
    body: z.strictObject({ proofId: id, version, minutes: z.union([z.literal(1), z.literal(2), z.literal(4), z.literal(8)]).nullable() }),
    response: instrument,
  }),
  strip: endpoint('POST', '/api/instruments/:id/strips', 'technician', 'A control strip of a process', {
    params: idParams,
    body: z.strictObject({
      proofId: id,
      strip,
      batchId: id.nullable().default(null),
      good: z.boolean().default(false),
      reference: z.boolean().default(false),
    }),
    response: instrument,
  }),
  limits: endpoint('PUT', '/api/instruments/:id/limits', 'technician', 'A house’s own limits for its control charts', {
    params: idParams,
    body: z.strictObject({ version, limits }),
    response: instrument,
  }),
  notices: endpoint('GET', '/api/notices', 'member', 'What a person was told about their films, newest first', {
    query: listQuery,
    response: page(notice),
  }),
  read: endpoint('POST', '/api/notices/:id/read', 'member', 'Seen', { params: idParams, response: done }),
  capacity: endpoint('GET', '/api/formulas/:id/capacity', 'technician', 'Capacity from this darkroom’s own tests, where there are enough', {
    params: idParams,
    response: z.object({
      estimate: z.object({ rollsPerL: z.number(), low: z.number(), high: z.number(), bottles: z.int() }).nullable(),
      bottles: z.int(),
    }),
  }),
}
export type Proof = z.infer<typeof proof>
export type ProofContext = z.infer<typeof context>
export type Suspect = z.infer<typeof suspect>
export type DueRuleRow = z.infer<typeof rule>
export type Instrument = z.infer<typeof instrument>
export type Notice = z.infer<typeof notice>
export type PictureMarks = z.infer<typeof pictureMarks>
