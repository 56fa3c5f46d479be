import type { Catalogue, Chemical } from '../../chemical/chemical'
import { equivalentMass, saltOf, substitutesFor } from '../../chemical/equivalentMass'
import { apparentMlPerG, comesOutBelow, nearestPoint, saturatedAt, saturatedGramsPerLitre } from '../../chemical/solubility'
import { DomainError } from '../../error'
import { showMass } from '../../quantity/format'
import type { Finding } from '../../finding'
import { is, type Line } from '../lines'
import type { Repair } from '../repair'
import { mayWaitForAlkali } from './alkaliAndRestrainer'
import { finding, type Rule } from './rule'

/** °C a shelf may get down to where a formula does not say. */
const usualShelfC = 15
/** Mixed salts dissolve less than one alone: from this share of its limit on, a chemical is near it. Rounded literature value. */
const near = 0.8
/** share of the nearest figure from which a gap in the data is worth saying */
const doubtful = 0.5

const limitAt = (chemical: Chemical, celsius: number): number | null => {
  try {
    return saturatedAt(chemical, celsius)
  } catch (error) {
    if (error instanceof DomainError && error.code === 'no-data') return null
    throw error
  }
}

/** A more soluble chemical of the same strength that stays within its limit, as a repair. */
function moreSoluble(line: Line, gramsPerLitre: number, celsius: number, catalogue: Catalogue): Repair | undefined {
  if (line.addition.grams === undefined) return undefined
  const fitting = substitutesFor(line.chemical.id, catalogue)
    .map((id) => ({ chemical: catalogue[id] as Chemical, perLitre: equivalentMass(line.chemical.id, id, gramsPerLitre, catalogue) }))
    .find(({ chemical, perLitre }) => {
      if (chemical.densityGPerMl !== undefined) return false
      const limit = limitAt(chemical, celsius) ?? 0
      return perLitre < near * limit
    })
  if (!fitting) return undefined
  const grams = equivalentMass(line.chemical.id, fitting.chemical.id, line.grams, catalogue)
  return { kind: 'substitute', step: line.step, additions: [{ ...line.addition, chemical: fitting.chemical.id, grams }] }
}

/** mix-11: what is beyond or near its solubility, while it is mixed and on the coldest shelf. */
export const solubility: Rule = (formula, lines, catalogue) => {
  const shelfC = formula.storeMinC ?? usualShelfC
  const withAlkali = lines.some((line) => is(line, 'alkali'))
  // two products of one salt are one in the solution: judged as the one that goes in last
  const last = new Map(lines.map((line) => [saltOf(line.chemical), line]))
  return [...last.values()].flatMap((line): Finding[] => {
    const { chemical } = line
    if (chemical.solubility.length === 0 || (withAlkali && mayWaitForAlkali.includes(chemical.id))) return []
    const same = lines.filter((one) => saltOf(one.chemical) === saltOf(chemical))
    const held = same.reduce((sum, one) => sum + equivalentMass(one.chemical.id, chemical.id, one.gramsPerLitre, catalogue), 0)
    const together = same.some((one) => one.chemical.id !== chemical.id) ? ' in all, its other products counted,' : ''
    const amount = `${showMass(held)} of ${chemical.name} a litre${together}`
    const mixing = line.dissolved ? null : limitAt(chemical, line.celsius)
    if (mixing !== null && held > mixing)
      return [
        finding(
          'mix-11',
          'error',
          `${amount} will not dissolve at ${line.celsius} °C: a litre takes ${showMass(mixing)}.`,
          line.step,
          moreSoluble(line, held, line.celsius, catalogue),
        ),
      ]
    const shelf = limitAt(chemical, shelfC)
    if (shelf === null) {
      const nearest = nearestPoint(chemical, shelfC)
      const there = saturatedGramsPerLitre(nearest?.gPer100Ml ?? 0, apparentMlPerG(chemical))
      if (!nearest || held <= doubtful * there) return []
      return [
        finding(
          'mix-11',
          held > there ? 'warning' : 'advice',
          `${amount}: no data at ${shelfC} °C; at ${nearest.celsius} °C a litre takes ${showMass(there)}, so it may come out when colder.`,
          line.step,
        ),
      ]
    }
    const from = comesOutBelow(chemical, held)
    const below = from === null ? '' : ` It comes out below about ${from.toFixed(0)} °C.`
    if (held > shelf)
      return [
        finding(
          'mix-11',
          'warning',
          `${amount} crystallises on a shelf at ${shelfC} °C, where a litre holds ${showMass(shelf)}.${below} Keep it warmer or mix it weaker.`,
          line.step,
          moreSoluble(line, held, shelfC, catalogue),
        ),
      ]
    if (held > near * shelf)
      return [
        finding(
          'mix-11',
          'advice',
          `${amount} is near what a litre holds at ${shelfC} °C (${showMass(shelf)}), and mixed salts dissolve less.${below}`,
          line.step,
        ),
      ]
    return []
  })
}
