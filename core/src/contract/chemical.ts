import { z } from 'zod'
import { natures, type Chemical } from '../chemical/chemical'
import { acids, type AcidName } from '../chemical/acids'
import { done, listQuery, name, note, page, version } from '../shape/common'
import { endpoint } from './endpoint'

const chemicalId = z.string().regex(/^[a-z0-9][a-z0-9-]{1,79}$/, 'An id has small letters, digits and hyphens, such as sodium-formate.')
const acidNames = Object.keys(acids) as [AcidName, ...AcidName[]]
const figure = z.number().gt(0).max(100_000)

/** What a darkroom says of a chemical: one of its own, or its edit of a built-in one. */
export const chemicalBody = z.strictObject({
  name,
  molarMass: figure.nullable(),
  group: z.string().trim().min(1).max(40).optional(),
  units: figure.optional(),
  content: z.number().gt(0).max(1).optional(),
  densityGPerMl: z.number().gt(0).max(20).optional(),
  natures: z.array(z.enum(natures)).max(16),
  solubility: z
    .array(z.strictObject({ celsius: z.number().min(-10).max(110), gPer100Ml: figure }))
    .max(20)
    .refine(
      (points) => points.every((point, i) => i === 0 || point.celsius > (points[i - 1]?.celsius ?? 0)),
      'Temperatures rise from point to point.',
    ),
  heatOfSolution: z.number().min(-500).max(500).nullable(),
  inWater: z
    .union([
      z.literal('trace'),
      z.strictObject({
        ions: z.number().min(-10).max(10),
        ionSquares: z.number().min(0).max(100),
        acids: z.array(z.tuple([z.enum(acidNames), z.number().gt(0).max(10)])).max(6),
      }),
    ])
    .optional(),
  usualAssay: z.number().gt(0).max(1.2).optional(),
  statements: z
    .array(z.string().regex(/^(H|EUH)\d{3}[A-Za-z]*$/, 'A code such as H314 or EUH031.'))
    .max(30)
    .optional(),
  note,
  source: z.string().trim().min(1, 'Say where the figures are from.').max(300),
})
const chemical = z.object({ id: z.string(), version, body: chemicalBody, changedBy: z.string(), changedAt: z.number() })

export const chemicalApi = {
  list: endpoint('GET', '/api/chemicals', 'member', 'The darkroom’s own chemicals and its edits of built-in ones', {
    query: z.strictObject({ limit: listQuery.shape.limit, after: z.string().max(80).optional() }),
    response: page(chemical),
  }),
  put: endpoint('PUT', '/api/chemicals/:id', 'technician', 'Write a chemical of one’s own, or other figures for a built-in one', {
    params: z.strictObject({ id: chemicalId }),
    body: z.strictObject({ /** null where the darkroom has said nothing of it yet */ version: version.nullable(), body: chemicalBody }),
    response: chemical,
  }),
  remove: endpoint('DELETE', '/api/chemicals/:id', 'technician', 'Take it back: a built-in chemical has its own figures again', {
    params: z.strictObject({ id: chemicalId }),
    body: z.strictObject({ version }),
    response: done,
  }),
}
export type ChemicalBody = z.infer<typeof chemicalBody>
export type ChemicalRow = z.infer<typeof chemical>
/** The row as core takes it. */
export const ownChemical = ({ id, body }: Pick<ChemicalRow, 'id' | 'body'>): Chemical => ({ id, ...body }) as Chemical
