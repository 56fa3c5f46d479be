import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import type { Formula } from '../formula/formula'
import type { ExposureBody } from './note'

/** An agent somebody reacted to more than once. */
export interface Repeated {
  agent: string
  chemical: string | null
  times: number
  says: string
}

const keyOf = ({ agent, chemical }: Pick<ExposureBody, 'agent' | 'chemical'>): string => chemical ?? agent.trim().toLowerCase()

/**
 * Agents of a second reaction: each more is likely worse, so that the advice is to stop with it. The newest name counts.
 * @example
 * repeatedAgents([]) // → []
 */
export function repeatedAgents(notes: Pick<ExposureBody, 'agent' | 'chemical' | 'at'>[]): Repeated[] {
  const byAgent = new Map<string, typeof notes>()
  for (const one of [...notes].sort((a, b) => b.at - a.at)) byAgent.set(keyOf(one), [...(byAgent.get(keyOf(one)) ?? []), one])
  return [...byAgent.values()].flatMap((all) => {
    const [newest] = all
    if (!newest || all.length < 2) return []
    const { agent, chemical } = newest
    const says = `A reaction to ${agent} for the ${all.length === 2 ? 'second' : `${all.length}th`} time: stop with it, and see a doctor. The next one may be worse.`
    return [{ agent, chemical, times: all.length, says }]
  })
}

/**
 * Formulas of the families that use a chemical, which do without it and without its like.
 * @example
 * formulasWithout('metol', []) // → []
 */
export function formulasWithout<F extends Pick<Formula, 'family' | 'additions'>>(
  chemical: string,
  formulas: F[],
  catalogue: Catalogue = builtIn,
): F[] {
  const group = catalogue[chemical]?.group
  const holds = (one: F): boolean =>
    one.additions.some((line) => line.chemical === chemical || (group !== undefined && catalogue[line.chemical]?.group === group))
  const families = new Set(formulas.filter(holds).map((one) => one.family))
  return formulas.filter((one) => families.has(one.family) && one.additions.length > 0 && !holds(one))
}
