import { families, familyNames, type Family } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'

export interface ShelfGroup {
  family: Family
  name: string
  bottles: Bottle[]
}

const usable = (bottle: Bottle): boolean =>
  bottle.retiredAt === null && !bottle.state.findings.some((finding) => finding.severity === 'error')

/** Bottles by family, in the order of use: the oldest that can serve first, retired ones last. */
export function shelfGroups(bottles: Bottle[]): ShelfGroup[] {
  const order = (a: Bottle, b: Bottle) =>
    Number(!usable(a)) - Number(!usable(b)) ||
    a.name.localeCompare(b.name) ||
    Number(a.parts !== null) - Number(b.parts !== null) ||
    a.madeAt - b.madeAt
  return families
    .map((family) => ({ family, name: familyNames[family], bottles: bottles.filter((bottle) => bottle.family === family).sort(order) }))
    .filter((group) => group.bottles.length > 0)
}

/** Ids of the bottles to pour first: the oldest usable one of each formula and strength that has more than one. */
export function pourFirst(bottles: Bottle[]): Set<string> {
  const kinds = new Map<string, Bottle[]>()
  for (const bottle of bottles.filter(usable)) {
    const kind = `${bottle.formulaId} ${bottle.parts?.join('+') ?? ''}`
    kinds.set(kind, [...(kinds.get(kind) ?? []), bottle])
  }
  return new Set(
    [...kinds.values()]
      .filter((same) => same.length > 1)
      .map((same) => same.reduce((oldest, one) => (one.madeAt < oldest.madeAt ? one : oldest)).id),
  )
}

/** The one word a bottle's flag says, from its worst finding. */
export function flagOf(bottle: Bottle): string {
  if (bottle.retiredAt !== null) return ''
  const rule = bottle.state.findings[0]?.rule
  return (
    { 'bottle-empty': 'Empty', 'bottle-expired': 'Too old', 'bottle-exhausted': 'Used up', 'bottle-low': 'Nearly done' }[rule ?? ''] ?? ''
  )
}
