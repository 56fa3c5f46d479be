import { z } from 'zod'
import { celsius, id, name, parts } from '../shape/common'
import { houseFirstVersion, houseIds } from './families/ids'
import { key } from './step'

export const filmFormat = z.enum(['135-36', '135-24', '135-12', '120', '220', '4x5in'])
const film = z.strictObject({
  id,
  memberId: id,
  film: name,
  format: filmFormat,
  ei: z.int().min(1).max(25_600),
  pushStops: z.number().min(-5).max(5),
  /** tabular grain, or rich in iodide: fixed three times the clearing time */
  slowClearing: z.boolean().optional(),
})
/** A bottle in the role it has in the process. */
const bath = z.strictObject({ role: key, bottleId: id, parts })

/** What a technician decides; the plan is worked out from it, on the page and again on the server. */
export const planRequest = z.strictObject({
  /** the version that was on the screen: the same one is worked out again when the liquids are measured out */
  processVersionId: id,
  /** choices of the process, by id; those not named stay as it has them */
  options: z.record(key, z.boolean()).default({}),
  vesselId: id,
  films: z.array(film).min(1).max(16),
  /** times of the development chart, for a process that takes one from there */
  chartRowIds: z.array(id).max(20).default([]),
  baths: z.array(bath).max(16),
  /** measured in the developer */
  temperatureC: celsius,
  /** measured in other baths, by the key of their step */
  bathC: z.record(key, celsius).optional(),
  agitation: z.string().max(40),
  /** colour, slide, or someone's only negatives */
  critical: z.boolean().optional(),
})
export type PlanRequest = z.output<typeof planRequest>

type Stored = Record<string, unknown>

/** Requests of before knew one process, its baths by their family, and its options as switches. */
function fromFamilies(old: Stored, vessel: 'hand' | 'rotary'): Stored {
  const { baths: were, preWet, washAid, wettingAgent, ...same } = old
  const baths = (were as { family: string; bottleId: string; parts: number[] }[]).map(({ family, ...one }, i, all) => {
    const before = all.slice(0, i).filter((earlier) => earlier.family === family).length
    return {
      ...one,
      role: family === 'film-developer' ? 'developer' : family === 'stop-bath' ? 'stop' : before > 0 ? `second-${family}` : family,
    }
  })
  const has = (role: string) => baths.some((one) => one.role === role)
  return {
    ...same,
    processVersionId: houseFirstVersion(houseIds[vessel === 'rotary' ? 'bw-negative-rotary' : 'bw-negative']),
    options: {
      'pre-wet': preWet === true,
      [has('stop') ? 'acid-stop' : 'water-stop']: true,
      [has('second-fixer') ? 'two-fix' : 'one-fix']: true,
      [washAid === true ? 'wash-aid' : vessel === 'rotary' ? 'changes' : 'fills']: true,
      'wetting-agent': wettingAgent === true,
    },
    baths,
  }
}

/**
 * What was decided for a run at any time, in the shape of today; null where it was never kept, or cannot be read. `vessel` is the kind of its tank.
 * @example
 * readRequest(null, 'hand') // → null
 */
export function readRequest(stored: unknown, vessel: 'hand' | 'rotary'): PlanRequest | null {
  if (typeof stored !== 'object' || stored === null) return null
  const old = 'processVersionId' in stored || !('baths' in stored) ? stored : fromFamilies(stored as Stored, vessel)
  const read = planRequest.safeParse(old)
  return read.success ? read.data : null
}
