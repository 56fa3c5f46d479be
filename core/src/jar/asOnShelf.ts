import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical, ChemicalId } from '../chemical/chemical'
import { chemicalOf, equivalentMass, substitutesFor } from '../chemical/equivalentMass'
import { DomainError } from '../error'
import { asTaken, blocksOf } from '../formula/asTaken'
import type { Formula } from '../formula/formula'
import { linesOf, type Line } from '../formula/lines'
import { substitutes } from '../formula/substitutes'
import { showMass } from '../quantity/format'

/** A jar as the scales need it. */
export interface ShelfJar {
  id: string
  chemical: ChemicalId
  /** g of the product it holds */
  grams: number
  /** share of the product that is the substance, from its sheet; null takes the usual one */
  assay?: number | null
  openedAt: number | null
}

/** What to take of which jar for one line of a formula. */
export interface Taking {
  step: number
  jarId: string | null
  /** what the jar holds, which may be another product than the formula says */
  chemical: ChemicalId
  /** g of the jar's product */
  grams: number
  /** jar's product per g of the formula's */
  factor: number
  /** said on the card where the jar changes the weight */
  because: string
  enough: boolean
  /** what must not happen: with this jar two meet that never do */
  blocked?: string
}

/**
 * Share of a jar's product that is the substance itself.
 * @example
 * assayOf({ assay: 0.97 }, catalogue.metol) // → 0.97
 */
export const assayOf = (jar: Pick<ShelfJar, 'assay'>, chemical: Chemical): number =>
  jar.assay ?? chemical.usualAssay ?? chemical.content ?? 1

/**
 * g of a jar's product that do the work of 1 g of the formula's: converted by moles, then by the jar's assay.
 * @example
 * jarFactor('sodium-sulfite', { chemical: 'sodium-sulfite-heptahydrate' }) // → 2.00056
 */
export function jarFactor(formulaChemical: ChemicalId, jar: Pick<ShelfJar, 'chemical' | 'assay'>, catalogue: Catalogue = builtIn): number {
  const held = chemicalOf(jar.chemical, catalogue)
  const assay = assayOf(jar, held)
  if (!(assay > 0 && assay <= 1.2))
    throw new DomainError('out-of-range', `An assay is a share of the product, such as 85 %, not ${assay * 100} %.`)
  return (equivalentMass(formulaChemical, jar.chemical, 1, catalogue) * (held.content ?? 1)) / assay
}

/**
 * Jars that can give a line its chemical, best first: the same product before another of its group, enough before too little, oldest opened first.
 * @example
 * jarsFor(metolLine, jars).map((jar) => jar.id) // → ['j1']
 */
export function jarsFor<J extends ShelfJar>(line: Line, jars: J[], catalogue: Catalogue = builtIn): J[] {
  const group = substitutesFor(line.chemical.id, catalogue).filter((id) => line.chemical.group !== 'ascorbate' || id === line.chemical.id)
  const same = (jar: ShelfJar) => Number(jar.chemical === line.chemical.id)
  const enough = (jar: ShelfJar) => Number(jar.grams >= line.grams * jarFactor(line.chemical.id, jar, catalogue))
  return jars
    .filter((jar) => jar.grams > 0 && (jar.chemical === line.chemical.id || group.includes(jar.chemical)))
    .sort(
      (a, b) =>
        same(b) * enough(b) - same(a) * enough(a) ||
        enough(b) - enough(a) ||
        same(b) - same(a) ||
        (a.openedAt ?? Infinity) - (b.openedAt ?? Infinity),
    )
}

/**
 * What to take from one jar for a line, and why the weight is another than the formula's.
 * @example
 * takingFrom(linesOf(developer)[1], jars[1]).grams // → 200.056
 */
export function takingFrom(line: Line, jar: ShelfJar, catalogue: Catalogue = builtIn): Taking {
  const held = chemicalOf(jar.chemical, catalogue)
  const factor = jarFactor(line.chemical.id, jar, catalogue)
  const grams = line.grams * factor
  const said: string[] = []
  if (jar.chemical !== line.chemical.id) {
    const known = substitutes(line.chemical.id, line.grams, catalogue).find(
      (one) => one.chemicals.length === 1 && one.chemicals[0]?.chemical === jar.chemical,
    )
    said.push(`The jar holds ${held.name}, not ${line.chemical.name}: ${showMass(grams)} do the work of ${showMass(line.grams)}.`)
    said.push(...(known?.consequences ?? []))
  }
  const assay = assayOf(jar, held)
  if (Math.abs(assay - (held.content ?? 1)) > 1e-9)
    said.push(
      `Its ${(jar.assay ?? null) === null ? 'usual ' : ''}assay is ${Math.round(assay * 1000) / 10} %: the weight is corrected for it.`,
    )
  return { step: line.step, jarId: jar.id, chemical: jar.chemical, grams, factor, because: said.join(' '), enough: jar.grams >= grams }
}

/** What a jar's product would meet in the rest of the formula that its own line's does not; undefined where nothing is to be feared. */
function newlyBlocked(formula: Formula, taken: Taking[], taking: Taking, catalogue: Catalogue): string | undefined {
  const before = new Set(blocksOf(asTaken(formula, taken, catalogue), catalogue).map((block) => block.message))
  return blocksOf(asTaken(formula, [...taken, taking], catalogue), catalogue).find((block) => !before.has(block.message))?.message
}

/**
 * The formula as the shelf can give it: for each line the jar to take and the weight of what is in it. A jar whose product never meets the rest is only
 * taken where there is no other, and then `blocked`. Lines drawn from stock solutions take no jar.
 * @example
 * asOnShelf(developer, jars)[1].grams // → 200.056
 */
export function asOnShelf(formula: Formula, jars: ShelfJar[], catalogue: Catalogue = builtIn): Taking[] {
  const taken: Taking[] = []
  for (const line of linesOf(formula, catalogue).filter((one) => !one.dissolved)) {
    const ways = jarsFor(line, jars, catalogue).map((jar) => {
      const taking = takingFrom(line, jar, catalogue)
      if (jar.chemical === line.chemical.id) return taking
      const blocked = newlyBlocked(formula, taken, taking, catalogue)
      return blocked === undefined ? taking : { ...taking, blocked }
    })
    taken.push(
      ways.find((way) => way.blocked === undefined) ??
        ways[0] ?? { step: line.step, jarId: null, chemical: line.chemical.id, grams: line.grams, factor: 1, because: '', enough: false },
    )
  }
  return taken
}
