import { z } from 'zod'
import { DomainError } from '../error'
import { finding } from '../finding'

const stepKinds = [
  'pre-wet',
  'develop',
  'stop',
  'rinse',
  'bleach',
  'clear',
  're-expose',
  'second-develop',
  'fix',
  'bleach-fix',
  'monobath',
  'stabilise',
  'wash-aid',
  'wash',
  'wetting-agent',
  'dry',
] as const

/** Continuous for the first `firstS`, then `forS` (or so many inversions) every `everyS`; everyS 0 means never again. Seconds. */
export const agitation = z.object({
  name: z.string(),
  firstS: z.number(),
  forS: z.number(),
  everyS: z.number(),
  inversions: z.number().optional(),
})

/** A step of a process. */
export const processStep = z.object({
  kind: z.enum(stepKinds),
  name: z.string(),
  /** family of the bottle it comes from, or water or air */
  bath: z.string(),
  /** from the development chart, or fixed seconds */
  time: z.union([z.literal('chart'), z.number()]),
  toleranceC: z.number(),
  agitation,
  /** what the material may see: nothing at all, closed in a tank, its safelight, or any */
  light: z.enum(['dark', 'tank', 'safelight', 'white']),
  drainS: z.number(),
  /** what becomes of the liquid at the end */
  fate: z.enum(['back', 'discard', 'drain']),
})

/** A bottle as a plan sees it. */
export const planBottle = z.object({
  id: z.string(),
  name: z.string(),
  /** what is written large on the tape, such as D5 */
  label: z.string(),
  family: z.string(),
  /** how it is diluted for this run; [1] is poured as it is */
  parts: z.array(z.number()),
  /** ml and roll equivalents nobody else is promised */
  volumeMl: z.number(),
  rollsLeft: z.number().nullable(),
  minConcentrateMlPerRoll: z.number(),
  findings: z.array(finding),
  oneShot: z.boolean(),
  timeFactor: z.number(),
  /** place in a two-bath pair; null where it fixes alone */
  position: z
    .union([z.literal(1), z.literal(2)])
    .nullable()
    .optional(),
  /** runs that something of it is reserved for */
  reservedFor: z.array(z.number()).optional(),
  /** tests that stand in the way of a critical run, in words */
  due: z.array(z.string()).optional(),
})

export const planVessel = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(['hand', 'rotary']),
  /** ml that covers this load */
  coversMl: z.number(),
  /** ml it holds at the most; what covers the load where not given */
  holdsMl: z.number().optional(),
  /** reels it takes */
  reels: z.number(),
  /** ml a loaded reel carries out of a bath; as usual for its format where not given */
  carryMl: z.number().nullable().optional(),
  /** numbers of the runs that are in it, or are planned in it */
  running: z.array(z.number()).optional(),
  planned: z.array(z.number()).optional(),
})

export const planFilm = z.object({ format: z.string(), count: z.number() })

const timePoint = z.object({ temperatureC: z.number(), seconds: z.number() })
const developing = z.object({
  seconds: z.number(),
  baseSeconds: z.number(),
  baseC: z.number(),
  steps: z.array(z.object({ name: z.string(), factor: z.number() })),
  findings: z.array(finding),
})

export const planStep = processStep.extend({
  seconds: z.number(),
  temperatureC: z.number(),
  /** working solution in the beaker, and its parts in ml, concentrate first */
  volumeMl: z.number(),
  partsMl: z.array(z.number()),
  bottle: planBottle.nullable(),
  /** at its end the plan waits for a hand instead of going on: film may stand in water and air */
  waits: z.boolean(),
})

/** The shape plans are written in now. One that changes what a reader relies on is the next number, with its step in `upgrades`. */
export const planFormat = 1

/** A process worked out for a load: what is poured, for how long, at what temperature. */
export const plan = z.object({
  format: z.literal(planFormat),
  processId: z.string(),
  processName: z.string(),
  material: z.literal('bw-film'),
  vessel: planVessel,
  films: z.array(planFilm),
  rolls: z.number(),
  temperatureC: z.number(),
  developing: developing.nullable(),
  /** what the developing time follows when the bath drifts: the chart of the load and its coefficient */
  drift: z.object({ chart: z.array(timePoint), k: z.number().optional() }).optional(),
  steps: z.array(planStep),
  critical: z.boolean().optional(),
  findings: z.array(finding),
})
export type Plan = z.output<typeof plan>

type Stored = Record<string, unknown>

/** Plans from before they had a number said of no bottle whether it was used once, of no step whether it waits, and of no vessel how many reels it takes. */
function fromBefore(old: Stored): Stored {
  const steps = (old.steps as Stored[] | undefined)?.map((step) => {
    const bottle = step.bottle as Stored | null | undefined
    return {
      waits: !bottle && step.kind !== 'stop',
      ...step,
      bottle: bottle ? { oneShot: step.fate !== 'back', timeFactor: 1, findings: [], ...bottle } : null,
    }
  })
  const vessel = old.vessel as Stored | undefined
  const covers = (old.films as { count?: number }[] | undefined)?.reduce((sum, film) => sum + (film.count ?? 0), 0)
  return { developing: null, findings: [], ...old, steps, vessel: { reels: covers ?? 1, ...vessel }, format: 1 }
}

/** From each format to the next. */
const upgrades: Record<number, (old: Stored) => Stored> = { 0: fromBefore }

/**
 * A plan as it was written at any time, in the shape of today.
 * @throws DomainError 'plan-unreadable' where it is none, or from a later version
 * @example
 * readPlan(run).format // → 1
 */
export function readPlan(stored: unknown): Plan {
  let one = (typeof stored === 'object' && stored !== null ? stored : {}) as Stored
  for (let format = typeof one.format === 'number' ? one.format : 0; format < planFormat; format++) one = upgrades[format]?.(one) ?? one
  const read = plan.safeParse(one)
  if (read.success) return read.data
  throw new DomainError('plan-unreadable', 'This run was planned by another version of the application, and its plan cannot be read here.')
}
