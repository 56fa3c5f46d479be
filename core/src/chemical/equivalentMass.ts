import { DomainError, requireAmounts } from '../error'
import { catalogue as builtIn } from './catalogue'
import type { Catalogue, Chemical, ChemicalId } from './chemical'

/**
 * The chemical of that id; an id the catalogue does not hold throws `unknown-chemical`.
 * @example
 * chemicalOf('metol').molarMass // → 344.38
 */
export function chemicalOf(id: ChemicalId, catalogue: Catalogue = builtIn): Chemical {
  const chemical = Object.hasOwn(catalogue, id) ? catalogue[id] : undefined
  if (!chemical) throw new DomainError('unknown-chemical', `“${id}” is not in the catalogue of chemicals.`)
  return chemical
}

/** Grams of the product that carry one mole of what does the work. */
function massPerActiveMole(chemical: Chemical): number {
  return (chemical.molarMass ?? NaN) / (chemical.units ?? 1) / (chemical.content ?? 1)
}

/**
 * Grams of `toId` that do the work of `grams` of `fromId`: m2 = m1 · (M2/units2) / (M1/units1), for products as catalogued.
 * 37 g of sodium carbonate 1-water is 31.6 g of the anhydrous. Chemicals of different groups throw `not-equivalent`.
 * @example
 * equivalentMass('sodium-sulfite-heptahydrate', 'sodium-sulfite', 100) // → 49.9861
 */
export function equivalentMass(fromId: ChemicalId, toId: ChemicalId, grams: number, catalogue: Catalogue = builtIn): number {
  requireAmounts({ 'The weight': grams })
  const from = chemicalOf(fromId, catalogue)
  const to = chemicalOf(toId, catalogue)
  if (fromId === toId) return grams
  if (from.group === undefined || from.group !== to.group)
    throw new DomainError('not-equivalent', `${to.name} does not stand in for ${from.name} by weight: they do different work in a formula.`)
  return (grams * massPerActiveMole(to)) / massPerActiveMole(from)
}

/**
 * Ids of the chemicals that can stand in for this one by equal strength.
 * @example
 * substitutesFor('sodium-sulfite') // → ['sodium-sulfite-heptahydrate', 'potassium-sulfite']
 */
export const substitutesFor = (id: ChemicalId, catalogue: Catalogue = builtIn): ChemicalId[] => {
  const { group } = chemicalOf(id, catalogue)
  return group === undefined
    ? []
    : Object.values(catalogue).flatMap((other) => (other.group === group && other.id !== id ? [other.id] : []))
}

const cation = /^(sodium|potassium|ammonium|borax)/

/** Which salt a chemical is, whatever its water: products of one salt add up in a solution. */
export const saltOf = (chemical: Chemical): string =>
  chemical.group === undefined ? chemical.id : `${chemical.group} of ${cation.exec(chemical.id)?.[1] ?? 'its own'}`
