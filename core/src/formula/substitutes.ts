import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical, ChemicalId } from '../chemical/chemical'
import { chemicalOf, equivalentMass, substitutesFor } from '../chemical/equivalentMass'
import { requireAmounts } from '../error'

/** What may be taken instead of so much of a chemical, and what follows from it. */
export interface Substitute {
  chemicals: { chemical: ChemicalId; grams: number }[]
  consequences: string[]
}

/** g of bicarbonate that take up the acid of 1 g of ascorbic acid: 84.01 / 176.12. */
const bicarbonatePerAscorbic = 84.01 / 176.12

const cation = (id: ChemicalId): 'sodium' | 'potassium' | 'ammonium' | null =>
  (/^(potassium|ammonium)/.exec(id)?.[0] as 'potassium' | 'ammonium' | undefined) ?? (/^(sodium|borax)/.test(id) ? 'sodium' : null)

/** mol of what does the work in 100 ml of water at 20 °C; null where nobody has measured it */
function activeMolar(chemical: Chemical): number | null {
  const at20 = chemical.solubility.find(({ celsius }) => celsius === 20)
  return at20 && chemical.molarMass !== null ? (at20.gPer100Ml * (chemical.units ?? 1)) / chemical.molarMass : null
}
/** Said of the solubility only where the figures of both say so. */
function soluble(from: Chemical, to: Chemical): string {
  const [before, after] = [activeMolar(from), activeMolar(to)]
  if (before === null || after === null || Math.abs(after / before - 1) < 0.1) return ''
  return after > before ? ', more soluble' : ', less soluble'
}

function consequencesOf(from: Chemical, to: Chemical): string[] {
  const [a, b] = [cation(from.id), cation(to.id)]
  const said: string[] = []
  if (from.group === 'thiosulfate' && a === 'ammonium' && b === 'sodium')
    said.push(
      'Slower clearing: sodium thiosulfate takes about twice the fixing time and tires sooner. Find the new clearing time with a scrap.',
    )
  else if (from.group === 'thiosulfate' && a === 'sodium' && b === 'ammonium')
    said.push('Faster clearing: fix by twice the new clearing time, or prints bleach.')
  else if (a !== b && a && b && a !== 'ammonium' && b !== 'ammonium')
    said.push(`${b === 'potassium' ? 'Potassium' : 'Sodium'} in place of ${a}: the same work${soluble(from, to)}.`)
  if (from.heatOfSolution !== null && (to.heatOfSolution ?? 0) >= 40 && from.heatOfSolution < 20)
    said.push('Its crystals cool the water hard: start warmer.')
  if (from.densityGPerMl === undefined && to.densityGPerMl !== undefined) said.push('A liquid: it counts towards the water at the start.')
  if (from.densityGPerMl !== undefined && to.densityGPerMl === undefined) said.push('A powder: start with that much more water.')
  if (said.length === 0 && a === b) said.push('The same substance with another share of water: nothing else changes.')
  return said
}

/**
 * What can stand in for `grams` of a chemical: its group by equal strength, and the pairs that make it, each with its consequences.
 * @example
 * substitutes('sodium-carbonate-monohydrate', 58.5)[0].chemicals // → [{ chemical: 'sodium-carbonate', grams: 50.0033 }]
 */
export function substitutes(chemical: ChemicalId, grams: number, catalogue: Catalogue = builtIn): Substitute[] {
  requireAmounts({ 'The weight': grams })
  const from = chemicalOf(chemical, catalogue)
  const plain = substitutesFor(chemical, catalogue)
    .filter((id) => from.group !== 'ascorbate' || id === chemical)
    .map((id) => ({
      chemicals: [{ chemical: id, grams: equivalentMass(chemical, id, grams, catalogue) }],
      consequences: consequencesOf(from, chemicalOf(id, catalogue)),
    }))
  return [...plain, ...madeFrom(from, grams, catalogue)]
}

function madeFrom(from: Chemical, grams: number, catalogue: Catalogue): Substitute[] {
  const molar = grams / (from.molarMass ?? NaN)
  if (from.group === 'metaborate')
    return [
      {
        // borax + 2 hydroxide make 4 metaborate
        chemicals: [
          { chemical: 'borax-decahydrate', grams: (molar / 4) * (chemicalOf('borax-decahydrate', catalogue).molarMass ?? 0) },
          { chemical: 'sodium-hydroxide', grams: (molar / 2) * (chemicalOf('sodium-hydroxide', catalogue).molarMass ?? 0) },
        ],
        consequences: ['Borax and hydroxide make the metaborate in the solution: the hydroxide is caustic and goes into cold water.'],
      },
    ]
  if (from.id === 'sodium-ascorbate') {
    const acid = equivalentMass(from.id, 'ascorbic-acid', grams, catalogue)
    return [
      {
        chemicals: [
          { chemical: 'ascorbic-acid', grams: acid },
          { chemical: 'sodium-bicarbonate', grams: acid * bicarbonatePerAscorbic },
        ],
        consequences: ['Ascorbic acid brings no alkali along: the bicarbonate makes up for it and foams, small portions and headspace.'],
      },
    ]
  }
  if (from.id === 'ascorbic-acid')
    return [
      {
        chemicals: [{ chemical: 'sodium-ascorbate', grams: equivalentMass(from.id, 'sodium-ascorbate', grams, catalogue) }],
        consequences: [
          'Sodium ascorbate brings its alkali along: leave out the alkali that was there to take up the acid, or the pH rises.',
        ],
      },
    ]
  return []
}
