import type { ProcessStep, StepKind } from './step'

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
export const roleOf = ({ liquid }: Pick<ProcessStep, 'liquid'>): string | null =>
  typeof liquid === 'object' && 'role' in liquid ? liquid.role : null
