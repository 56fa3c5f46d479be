import { families, familyNames, mayBeUsed, pouredFirst, type Family } from '@selvrin/core'
import type { Bottle, Shelf } from '@selvrin/core/contract'

export interface ShelfGroup {
  family: Family
  name: string
  bottles: Bottle[]
}

/** Bottles by family, in the order of use: those that may be used first, strength by strength. */
export function shelfGroups(bottles: Bottle[]): ShelfGroup[] {
  const order = (a: Bottle, b: Bottle) =>
    Number(!mayBeUsed(a)) - Number(!mayBeUsed(b)) ||
    a.name.localeCompare(b.name) ||
    Number(a.parts !== null) - Number(b.parts !== null) ||
    pouredFirst(a, b)
  return families
    .map((family) => ({ family, name: familyNames[family], bottles: bottles.filter((bottle) => bottle.family === family).sort(order) }))
    .filter((group) => group.bottles.length > 0)
}

export interface Plank {
  /** empty for the bottles that stand on no shelf yet */
  id: string
  name: string
  celsius: number | null
  groups: ShelfGroup[]
}

/** The shelves in their order, each with its bottles by family and use; what stands on none comes first. A house without shelves has one. */
export function planksOf(bottles: Bottle[], shelves: Shelf[]): Plank[] {
  const known = new Set(shelves.map((shelf) => shelf.id))
  const rest = bottles.filter((bottle) => bottle.shelfId === null || !known.has(bottle.shelfId))
  const planks = shelves.map(({ id, name, celsius }) => ({
    id,
    name,
    celsius,
    groups: shelfGroups(bottles.filter((bottle) => bottle.shelfId === id)),
  }))
  // what has just been mixed is looked for first, and is to be put somewhere
  return rest.length === 0
    ? planks
    : [{ id: '', name: shelves.length === 0 ? '' : 'On no shelf yet', celsius: null, groups: shelfGroups(rest) }, ...planks]
}

/** Bottles whose label or code begins with what was typed. */
export function withCode(bottles: Bottle[], typed: string): Bottle[] {
  const text = typed.trim().toUpperCase()
  const exact = bottles.filter((bottle) => bottle.label === text || bottle.code === text)
  return exact.length > 0 ? exact : bottles.filter((bottle) => bottle.label.startsWith(text) || bottle.code.startsWith(text))
}

/** Ids of the bottles to pour first: the oldest open one of each formula and strength that has more than one. */
export function pourFirst(bottles: Bottle[]): Set<string> {
  const kinds = new Map<string, Bottle[]>()
  for (const bottle of bottles.filter(mayBeUsed)) {
    const kind = `${bottle.formulaId} ${bottle.parts?.join('+') ?? ''}`
    kinds.set(kind, [...(kinds.get(kind) ?? []), bottle])
  }
  return new Set([...kinds.values()].filter((same) => same.length > 1).flatMap((same) => same.sort(pouredFirst)[0]?.id ?? []))
}

const flags: Record<string, string> = {
  'bottle-empty': 'Empty',
  'bottle-expired': 'Too old',
  'bottle-exhausted': 'Used up',
  'bottle-low': 'Nearly done',
  'bottle-failed': 'Failed test',
  'bottle-marginal': 'Marginal',
  'bottle-silver': 'Silver',
  'bottle-move-up': 'Move up',
  'bottle-pair-date': 'Pair is over',
  'bottle-stop-turning': 'Acid nearly gone',
  'bottle-replenish': 'Replenish',
}

/** The word a bottle's flag says: its worst finding, or that a test is due. */
export function flagOf(bottle: Bottle): string {
  if (bottle.retiredAt !== null) return ''
  const [worst] = bottle.state.findings
  if (!mayBeUsed(bottle)) return flags[worst?.rule ?? ''] ?? 'Do not use'
  if (bottle.due.length > 0) return bottle.due[0]?.why === 'reference' ? 'Take reference' : 'Test due'
  return flags[worst?.rule ?? ''] ?? ''
}
