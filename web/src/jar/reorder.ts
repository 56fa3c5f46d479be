import type { ChemicalId, Formula } from '@selvrin/core'
import { batchesLeft, catalogue, chemicalOf } from '../chemical/chemistry'
import type { FormulaRow, Jar } from '@selvrin/core/contract'

/** For each formula that uses a chemical, how many batches its jars are enough for; fewest first. */
export function enoughFor(chemical: ChemicalId, jars: Jar[], formulas: FormulaRow[]): { formula: FormulaRow; batches: number }[] {
  return formulas
    .flatMap((formula) => {
      const batches = batchesLeft({ id: formula.id, ...formula.body } as Formula, chemical, jars)
      return batches === null ? [] : [{ formula, batches }]
    })
    .sort((a, b) => a.batches - b.batches)
}

export const nameOf = (jar: Pick<Jar, 'chemical'>): string => (catalogue()[jar.chemical] ? chemicalOf(jar.chemical).name : jar.chemical)

/** Jars by place, places and names in the order of the alphabet. */
export function byPlace(jars: Jar[]): [place: string, jars: Jar[]][] {
  const places = new Map<string, Jar[]>()
  for (const jar of jars) places.set(jar.place || 'no place', [...(places.get(jar.place || 'no place') ?? []), jar])
  for (const list of places.values()) list.sort((a, b) => nameOf(a).localeCompare(nameOf(b)))
  return [...places].sort((a, b) => a[0].localeCompare(b[0]))
}
