import { type ChemicalId, type Formula } from '@selvrin/core'
import { batchesLeft, catalogue, chemicalOf } from '../chemical/chemistry'
import type { FormulaRow, Jar } from '@selvrin/core/contract'

export interface ToOrder {
  chemical: ChemicalId
  name: string
  heldG: number
  reorderG: number
}

/** Chemicals whose jars together hold less than their reorder level. */
export function toOrder(jars: Jar[]): ToOrder[] {
  const levels = new Map<ChemicalId, number>()
  for (const jar of jars) if (jar.reorderG !== null) levels.set(jar.chemical, Math.max(jar.reorderG, levels.get(jar.chemical) ?? 0))
  return [...levels].flatMap(([chemical, reorderG]) => {
    const heldG = jars.reduce((sum, jar) => sum + (jar.chemical === chemical ? jar.grams : 0), 0)
    return heldG < reorderG ? [{ chemical, name: catalogue()[chemical]?.name ?? chemical, heldG, reorderG }] : []
  })
}

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
