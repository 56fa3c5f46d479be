import { z } from 'zod'
import { fixables, schools } from '../formula/use'
import { families } from '../mark/mark'
import { amount, celsius, done, id, idParams, listQuery, name, note, page, parts, positive, reason, version } from '../shape/common'
import { additionRoles } from '../formula/formula'
import { endpoint } from './endpoint'

const addition = z
  .strictObject({
    chemical: z.string().min(1).max(80),
    grams: amount.optional(),
    millilitres: amount.optional(),
    percent: z.number().gt(0).max(100).optional(),
    atC: celsius.optional(),
    role: z.enum(additionRoles).optional(),
    wholePack: z.boolean().optional(),
    note: z.string().trim().max(300).optional(),
  })
  .refine((line) => (line.grams === undefined) !== (line.millilitres === undefined), 'Give grams or millilitres, one of the two.')

const days = z.number().gt(0).max(36_500).nullable()
export const formulaUse = z.strictObject({
  school: z.enum(schools),
  capacityRollsPerL: positive.nullable(),
  keeping: z.strictObject({ fullDays: days, halfDays: days, workingDays: days, trayDays: days.optional() }),
  dilutions: z.array(parts).min(1).max(8),
  minConcentrateMlPerRoll: amount,
  compensation: z
    .union([
      z.strictObject({ perRoll: z.number().min(0.001).max(0.5) }),
      z.strictObject({
        table: z
          .array(z.strictObject({ rollsPerL: z.number().min(0).max(1000), factor: z.number().min(1).max(5) }))
          .min(1)
          .max(20),
      }),
    ])
    .optional(),
  replenishment: z
    .strictObject({ mlPerRoll: positive.max(1000), turnovers: z.number().gt(0).max(100), formulaId: id.nullable().optional() })
    .optional(),
  twoBath: z.strictObject({ moves: z.int().min(0).max(20), days }).optional(),
  fixes: z.enum(fixables).optional(),
  longKeeping: z.boolean().optional(),
})

/** What a technician writes down: how it is mixed and how it is used. */
export const formulaBody = z.strictObject({
  name,
  family: z.enum(families),
  purpose: z.string().trim().max(300),
  finalMl: positive,
  startMl: amount,
  mixC: celsius,
  storeMinC: celsius.optional(),
  water: z.enum(['tap', 'deionised']).optional(),
  additions: z.array(addition).max(60),
  /** bottles of other formulas poured together in this order before use; the dilutions give their parts, then the water */
  combine: z
    .array(z.strictObject({ part: z.string().trim().min(1).max(20), formulaId: id }))
    .min(2)
    .max(4)
    .optional(),
  use: formulaUse,
  /** s a bath takes where no chart or test says so */
  usualS: positive.nullable(),
  temperatureCoefficient: z.number().gt(0).max(0.5).nullable(),
  rangeC: z
    .tuple([celsius, celsius])
    .refine(([from, to]) => from < to, 'The range runs from the cooler to the warmer.')
    .nullable(),
  note,
})

/** why it was kept in spite of what the rules of mixing say; null where they say nothing grave */
const overruled = z.string().nullable()
const head = { id, version, number: z.int(), versionId: id, changedBy: z.string(), changedAt: z.number(), overruled }
const formula = z.object({ ...head, body: formulaBody, /** what earlier versions were called */ earlierNames: z.array(z.string()) })
export const formulaVersion = z.object({
  versionId: id,
  number: z.int(),
  changedBy: z.string(),
  changedAt: z.number(),
  overruled,
  body: formulaBody,
})

/** A batch mixed of a formula, with its measured pH. */
const explained = z.object({
  predicted: z.number(),
  uncertainty: z.number(),
  outside: z.boolean(),
  causes: z.array(
    z.object({
      chemical: z.string(),
      slip: z.enum(['left-out', 'half', 'twice', 'other-product']),
      instead: z.string().optional(),
      ph: z.number(),
      off: z.number(),
    }),
  ),
})
const batch = z.object({
  id,
  number: z.int(),
  madeAt: z.number(),
  madeBy: z.string(),
  ph: z.number().nullable(),
  phCelsius: z.number().nullable(),
  /** the reading against what was really mixed, of the version it was mixed from, at its own temperature; null where nothing can be predicted */
  explained: explained.nullable(),
  /** why a reading that is off is all right */
  phWhy: z.string().nullable(),
  note: z.string(),
})

export const formulaApi = {
  phWhy: endpoint('POST', '/api/batches/:id/ph-why', 'technician', 'Why the pH of a batch that is off is all right', {
    params: idParams,
    body: z.strictObject({ reason }),
    response: done,
  }),
  list: endpoint('GET', '/api/formulas', 'technician', 'All formulas in their newest version', {
    query: listQuery,
    response: page(formula),
  }),
  get: endpoint('GET', '/api/formulas/:id', 'technician', 'One formula with its earlier versions', {
    params: idParams,
    response: formula.extend({ versions: z.array(formulaVersion), batches: z.array(batch) }),
  }),
  create: endpoint('POST', '/api/formulas', 'technician', 'Write a new formula', {
    bodyBytes: 256_000,
    body: z.strictObject({ id, versionId: id, body: formulaBody, overrule: reason.optional() }),
    response: formula,
  }),
  revise: endpoint('POST', '/api/formulas/:id/versions', 'technician', 'A new version; what was mixed before keeps its own', {
    params: idParams,
    bodyBytes: 256_000,
    body: z.strictObject({ version, versionId: id, body: formulaBody, overrule: reason.optional() }),
    response: formula,
  }),
}
export type FormulaBody = z.infer<typeof formulaBody>
export type FormulaRow = z.infer<typeof formula>
export type FormulaBatch = z.infer<typeof batch>
export type FormulaVersion = z.infer<typeof formulaVersion>
