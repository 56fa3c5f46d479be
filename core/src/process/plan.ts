import { z } from 'zod'
import { bleachings } from '../bottle/bleachings'
import { DomainError } from '../error'
import { finding } from '../finding'
import { houseIds } from './families/ids'
import { agitation, materials, processStep } from './step'

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
  /** the working bath it is only a part of */
  partOf: z.string().optional(),
  /** what a bleach bleaches with, by what is in it; not known where not given */
  bleaches: z.enum(bleachings).optional(),
})

export const planVessel = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(['hand', 'rotary']),
  /** ml that covers this load */
  coversMl: z.number(),
  /** ml it holds at the most; what covers the load where not given */
  holdsMl: z.number().optional(),
  /** why the load does not fit */
  misfit: z.string().optional(),
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

export const planStep = z.object({
  ...processStep.shape,
  agitation,
  drainS: z.number(),
  seconds: z.number(),
  /** what its time was multiplied by, where that is not the developing time's own */
  factors: z.array(z.object({ name: z.string(), factor: z.number() })).optional(),
  temperatureC: z.number(),
  /** working solution in the beaker, and its parts in ml, concentrate first */
  volumeMl: z.number(),
  partsMl: z.array(z.number()),
  /** of the bath, or what marks a step without one */
  family: z.string(),
  bottle: planBottle.nullable(),
  /** at its end the plan waits for a hand instead of going on: film may stand in water and air */
  waits: z.boolean(),
})

/** The shape plans are written in now. One that changes what a reader relies on is the next number, with its step in `upgrades`. */
export const planFormat = 2

/** A process worked out for a load: what is poured, for how long, at what temperature. */
export const plan = z.object({
  format: z.literal(planFormat),
  processId: z.string(),
  processName: z.string(),
  material: z.enum(materials),
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

/** Plans of the first number knew one process: a step named the family of its bath, and its time was a number. */
function fromFamilies(old: Stored): Stored {
  const steps = (old.steps as Stored[] | undefined)?.map((step, i) => {
    const { bath, time, light: lit, ...same } = step
    const watery = bath === 'water' || bath === 'air'
    return {
      ...same,
      key: `${String(step.kind)}-${i + 1}`,
      liquid: watery ? bath : { role: bath },
      family: bath === 'water' ? 'wash' : bath === 'second-fixer' ? 'fixer' : bath,
      time: time === 'chart' ? time : { s: time },
      light: lit === 'safelight' ? { safelight: 'red' } : lit,
    }
  })
  return { ...old, steps, format: 2 }
}

/** From each format to the next. */
const upgrades: Record<number, (old: Stored) => Stored> = { 0: fromBefore, 1: fromFamilies }

/**
 * A plan as it was written at any time, in the shape of today.
 * @throws DomainError 'plan-unreadable' where it is none, or from a later version
 * @example
 * readPlan(run).format // → 2
 */
export function readPlan(stored: unknown): Plan {
  let one = (typeof stored === 'object' && stored !== null ? stored : {}) as Stored
  for (let format = typeof one.format === 'number' ? one.format : 0; format < planFormat; format++) one = upgrades[format]?.(one) ?? one
  // house processes had names for ids
  const { processId } = one
  if (typeof processId === 'string' && Object.hasOwn(houseIds, processId))
    one = { ...one, processId: houseIds[processId as keyof typeof houseIds] }
  const read = plan.safeParse(one)
  if (read.success) return read.data
  throw new DomainError('plan-unreadable', 'This run was planned by another version of the application, and its plan cannot be read here.')
}
