import { DomainError } from '../../error'
import type { Finding } from '../../finding'
import type { Plan } from '../../process/load'
import { wantsOf } from '../../process/uses'
import { afterUses } from './bottle'
import type { DarkroomEvening, DarkroomPlan, DecidedLoad, EveningBottle } from './evening'
import { planWith, usesOfBottle } from './turns'

/** A test can still be done before the load begins. */
const canBeMended = (finding: Finding): boolean => finding.rule === 'plan-test-due'

function planOrFinding(evening: DarkroomEvening, load: DecidedLoad, held: Map<string, EveningBottle>): Plan | Finding[] {
  try {
    const plan = planWith(
      evening,
      load,
      [...held.values()].map((one) => one.shelf),
    )
    const against = plan.findings.filter((finding) => finding.severity === 'error' && !canBeMended(finding))
    return against.length === 0 || load.overruled ? plan : against
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return [{ rule: error.code, severity: 'error', message: error.message }]
  }
}

/**
 * Which loads the bottles bear, what matters most first: what was promised, someone's only negatives, then weight, then what is due sooner. Whatever is left over has what speaks against it: it
 * wants another bottle, or another evening.
 */
export function bearable(evening: DarkroomEvening): { kept: { load: DecidedLoad; plan: Plan }[]; left: DarkroomPlan['left'] } {
  const held = new Map(evening.bottles.map((bottle) => [bottle.shelf.id, bottle]))
  const kept: { load: DecidedLoad; plan: Plan }[] = []
  const left: DarkroomPlan['left'] = []
  const at = evening.midnight + evening.room.opensS * 1000
  const isPromised = ({ id }: DecidedLoad): boolean => evening.promised?.includes(id) ?? false
  const first = [...evening.loads].sort(
    (a, b) =>
      Number(isPromised(b)) - Number(isPromised(a)) ||
      Number(b.request.critical ?? false) - Number(a.request.critical ?? false) ||
      b.weight - a.weight ||
      a.dueS - b.dueS ||
      (a.id < b.id ? -1 : 1),
  )
  for (const load of first) {
    const plan = planOrFinding(evening, load, held)
    if (Array.isArray(plan)) {
      left.push({ load: load.id, findings: plan })
      continue
    }
    kept.push({ load, plan })
    for (const id of new Set(wantsOf(plan).map((want) => want.bottleId))) {
      const bottle = held.get(id)
      if (bottle) held.set(id, afterUses(bottle, usesOfBottle(plan, id), load.id, evening, at))
    }
  }
  // in the order in which they were decided
  const place = new Map(evening.loads.map((load, i) => [load.id, i]))
  return { kept: kept.sort((a, b) => (place.get(a.load.id) ?? 0) - (place.get(b.load.id) ?? 0)), left }
}
