import { z } from 'zod'

/* A step of a process, as it is kept and as it is sent. Times s, temperatures °C, volumes ml. */

export const materials = ['bw-film', 'bw-slide', 'colour-negative', 'slide', 'paper', 'hand-coated'] as const

const stepKinds = [
  'pre-wet',
  'develop',
  'stop',
  'rinse',
  'bleach',
  'clear',
  're-expose',
  'reversal-bath',
  'second-develop',
  'conditioner',
  'fix',
  'bleach-fix',
  'monobath',
  'stabilise',
  'wash-aid',
  'wash',
  'wetting-agent',
  'dry',
  'tone',
  'refix',
  'inspect',
] as const

const seconds = z.number().gt(0).max(86_400)
const celsius = z.number().min(-10).max(110)
/** names a step or a role within its process */
export const key = z.string().regex(/^[a-z0-9][a-z0-9-]{0,39}$/, 'A key has small letters, digits and hyphens, such as first-developer.')

/**
 * Continuous for the first `firstS`, then `forS` (or so many inversions) every `everyS`, 0 for never again, at the start of the interval or at its end; a closing
 * agitation fills the last `closingS` before pouring out.
 */
export const agitation = z.object({
  name: z.string().max(80),
  firstS: z.number().min(0),
  forS: z.number().min(0),
  everyS: z.number().min(0),
  inversions: z.number().optional(),
  at: z.enum(['start', 'end']).optional(),
  closingS: z.number().min(0).optional(),
})

/** What the material may see, and what room and screen must be: nothing at all, closed in a tank, a safelight, or any. */
const light = z.union([z.enum(['dark', 'tank', 'white']), z.strictObject({ safelight: z.enum(['red', 'amber', 'yellow']) })])
/** What becomes of the liquid: back into its bottle, poured away, saved for a later step of the same run, or into a drum of its family. */
const fate = z.union([z.enum(['back', 'discard', 'drain']), z.strictObject({ saveAs: key }), z.strictObject({ drum: z.string().max(40) })])
/** A bottle by its role, what an earlier step saved, or no bottle at all. */
const liquid = z.union([z.strictObject({ role: key }), z.strictObject({ savedFrom: key }), z.enum(['water', 'air', 'light'])])
const stepTime = z.union([
  z.literal('chart'),
  z.strictObject({ s: seconds }),
  /** by its temperature; between two of them ln t is a straight line */
  z.strictObject({
    table: z
      .array(z.strictObject({ c: celsius, s: seconds }))
      .min(1)
      .max(12),
  }),
  /** times the clearing time of the film in its fixer; `s` where nobody has tested it */
  z.strictObject({ clearing: z.number().gt(0).max(10), s: seconds }),
  z.strictObject({ share: z.number().gt(0).max(10), of: key }),
  z.strictObject({ inspect: z.literal(true), atMostS: seconds.optional() }),
])

export const processStep = z.strictObject({
  key,
  kind: z.enum(stepKinds),
  name: z.string().trim().min(1).max(60),
  liquid,
  time: stepTime,
  /** what the process has it at; else it follows the developer */
  atC: celsius.optional(),
  toleranceC: z.number().min(0).max(40),
  /** its own range; else the developer’s temperature ± its tolerance */
  c: z.strictObject({ min: celsius, max: celsius }).optional(),
  /** its own; else as the run is agitated */
  agitation: agitation.optional(),
  light,
  /** else `drainOf` its volume */
  drainS: z.number().min(0).max(600).optional(),
  fate,
  /** changes of water within it */
  changes: z.int().min(1).max(20).optional(),
  /** sides that are exposed one after another, each as long */
  sides: z.int().min(1).max(2).optional(),
  /** s more for each roll equivalent a litre has seen */
  perRollPerLitreS: z.number().min(0).max(600).optional(),
  /** factors of its time by stops of push; between them ln-straight, outside refused */
  push: z
    .array(z.strictObject({ stops: z.number().min(-5).max(5), factor: z.number().gt(0).max(10) }))
    .max(8)
    .optional(),
  /** a developer that reverses by an agent in it: nothing is re-exposed */
  reverses: z.boolean().optional(),
  /** gives gas off: the lid is vented after each agitation */
  vents: z.boolean().optional(),
  /** may pass before it begins, s */
  maxWaitS: z.number().min(0).max(3600).optional(),
  note: z.string().trim().max(400).optional(),
})

export type Agitation = z.output<typeof agitation>
export type ProcessStep = z.output<typeof processStep>
export type StepKind = ProcessStep['kind']
export type Light = z.output<typeof light>
export type Fate = z.output<typeof fate>
