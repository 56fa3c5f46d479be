import type { ProcessStep, StepKind } from './step'

/**
 * Whether a step makes the first picture: its bath is what a film is said to be developed in, and its time and temperature are the film's.
 * @example
 * developsFirst({ kind: 'second-develop' }) // → false
 */
export const developsFirst = ({ kind }: Pick<ProcessStep, 'kind'>): boolean => kind === 'develop' || kind === 'monobath'

/** s a pour takes, by its ml. Domain figure. */
export const pourOf = (ml: number): number => Math.max(6, ml / 50)
/** s draining takes, by its ml. Domain figure. */
export const drainOf = (ml: number): number => Math.max(10, ml / 50)

/** Their time is their effect: a short one is refused, every other is lengthened. */
const neverLengthened: StepKind[] = ['develop', 'second-develop', 'bleach', 'monobath']
export const isLengthened = (kind: StepKind): boolean => !neverLengthened.includes(kind)
/** s that pouring in and out of so many ml take, and with the least the liquid has to stand at the film. */
export function leastOf(volumeMl: number, drainS: number): { handsS: number; leastS: number } {
  const handsS = pourOf(volumeMl) + drainS
  return { handsS, leastS: handsS + 5 }
}

/** The key of the step whose liquid this one takes; null where it takes none that was saved. */
export const savedFrom = ({ liquid }: Pick<ProcessStep, 'liquid'>): string | null =>
  typeof liquid === 'object' && 'savedFrom' in liquid ? liquid.savedFrom : null
export const isSaved = ({ fate }: Pick<ProcessStep, 'fate'>): boolean => typeof fate === 'object' && 'saveAs' in fate
/**
 * The role whose bottle a step takes its liquid from; null where it takes none.
 * @example
 * roleOf(houseProcesses[0].steps[1]) // → 'developer'
 */
export const roleOf = ({ liquid }: Pick<ProcessStep, 'liquid'>): string | null =>
  typeof liquid === 'object' && 'role' in liquid ? liquid.role : null
