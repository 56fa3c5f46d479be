import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import type { Formula } from '../formula/formula'
import { loadKindOf } from '../process/vesselCover'
import type { Drum } from '../waste/drumIds'
import { drumOf } from '../waste/drums'
import { loadingTask, trainingTasks, type TrainingTask } from './task'

type Liquid = Pick<Formula, 'family' | 'additions'>
const inOrder = (tasks: Iterable<TrainingTask>): TrainingTask[] => {
  const all = new Set(tasks)
  return trainingTasks.filter((one) => all.has(one))
}

const bleaching: (Drum | null)[] = ['chr', 'mno', 'cop', 'fer']
const toning: (Drum | null)[] = ['sul', 'sel']
const coatedWith = /silver-nitrate|platin|palladium/

/**
 * What has to have been shown to whoever handles a bath, by what is in it; by its family where nobody knows its recipe, or where that says more.
 * @example
 * tasksOfBath({ family: 'bleach', additions: [{ chemical: 'potassium-ferricyanide', grams: 10 }] }) // → ['bleaches']
 */
export function tasksOfBath({ family, additions }: Liquid, catalogue: Catalogue = builtIn): TrainingTask[] {
  const drum = drumOf({ family, additions }, catalogue)
  const ids = additions.map((line) => line.chemical)
  const coats = family === 'sensitizer' || ids.some((one) => coatedWith.test(one))
  return inOrder([
    ...(family === 'colour-developer' || ids.some((one) => one.startsWith('colour-agent')) ? (['colour-developers'] as const) : []),
    ...(coats ? (['coating'] as const) : []),
    ...(family === 'bleach' || family === 'bleach-fix' || (bleaching.includes(drum) && !coats) ? (['bleaches'] as const) : []),
    ...(family === 'toner' || toning.includes(drum) ? (['toners'] as const) : []),
  ])
}

/**
 * What has to have been shown to whoever opens the jar of a chemical.
 * @example
 * tasksOfChemical('sodium-hydroxide') // → ['powders', 'acid-alkali']
 */
export function tasksOfChemical(id: string, catalogue: Catalogue = builtIn): TrainingTask[] {
  const chemical = catalogue[id]
  if (!chemical) return []
  const { natures, densityGPerMl } = chemical
  return inOrder([
    ...(densityGPerMl === undefined ? (['powders'] as const) : []),
    ...(natures.includes('concentrated-acid') || natures.includes('hydroxide') ? (['acid-alkali'] as const) : []),
  ])
}

/**
 * What has to have been shown to whoever weighs a formula and mixes it.
 * @example
 * tasksOfMix({ family: 'stop-bath', additions: [{ chemical: 'acetic-acid-glacial', grams: 15 }] }) // → ['acid-alkali']
 */
export const tasksOfMix = (formula: Liquid, catalogue: Catalogue = builtIn): TrainingTask[] =>
  inOrder([...tasksOfBath(formula, catalogue), ...formula.additions.flatMap((line) => tasksOfChemical(line.chemical, catalogue))])

/**
 * What has to have been shown to whoever loads films and leads them through baths.
 * @param formats of the films
 * @example
 * tasksOfRun(['135-36', '120'], []) // → ['load-135', 'load-120']
 */
export const tasksOfRun = (formats: string[], baths: Liquid[], catalogue: Catalogue = builtIn): TrainingTask[] =>
  inOrder([...formats.map((one) => loadingTask(loadKindOf(one))), ...baths.flatMap((one) => tasksOfBath(one, catalogue))])
