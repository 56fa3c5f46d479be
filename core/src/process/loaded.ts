import { carryOutMl, rollEquivalents } from '../dilution/rollEquivalents'
import type { Load, Plan } from './load'

/**
 * Roll equivalents of all films of a load.
 * @example
 * loadRolls([{ format: '135-36', count: 2 }, { format: '4x5in', count: 4 }]) // → 3
 */
export const loadRolls = (films: Load['films']): number => films.reduce((sum, film) => sum + rollEquivalents(film), 0)
/** Of the rolls of a plan, how many are colour or slide film, all of whose silver goes into the bath. */
export const colourRollsOf = ({ material, rolls }: Pick<Plan, 'material' | 'rolls'>): number =>
  material === 'colour-negative' || material === 'slide' ? rolls : 0
/** ml all films of a load carry out of a bath. */
export const loadCarryMl = ({ films, vessel }: Pick<Load, 'films' | 'vessel'>): number =>
  films.reduce((sum, film) => sum + carryOutMl(film, vessel.carryMl ?? undefined), 0)
