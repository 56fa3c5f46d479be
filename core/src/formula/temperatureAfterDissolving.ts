import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import { DomainError, requireAmounts, requireTemperatures } from '../error'
import type { Addition } from './formula'
import { additionGrams, additionMl } from './lines'
import { warmingBy } from '../water/dissolvingHeat'

export interface CoursePoint {
  /** °C when this addition has dissolved */
  celsius: number
  /** °C by which it changed; null where its heat of solution is unknown and nothing was counted */
  change: number | null
  chemical: Chemical
}

/**
 * °C after each addition, one after another, what is added having the liquid's temperature. Additions of unknown heat count nothing and say so.
 * @example
 * temperatureCourse({ waterMl: 750, waterC: 50, additions: developer.additions }).length // → 4
 */
export function temperatureCourse(
  { waterMl, waterC, additions }: { waterMl: number; waterC: number; additions: Addition[] },
  catalogue: Catalogue = builtIn,
): CoursePoint[] {
  requireAmounts({ 'The water': waterMl })
  requireTemperatures({ 'The water’s temperature': waterC })
  let liquidG = waterMl
  let celsius = waterC
  return additions.map((addition) => {
    const chemical = chemicalOf(addition.chemical, catalogue)
    const grams = additionGrams(addition, chemical)
    const dissolved = addition.percent !== undefined
    const change = dissolved ? 0 : warmingBy(chemical, grams, liquidG)
    celsius += change ?? 0
    liquidG += dissolved ? additionMl(addition, chemical) : grams
    return { celsius, change, chemical }
  })
}

/**
 * °C of the solution when all additions have dissolved. A chemical whose heat of solution is unknown throws `no-data`.
 * @example
 * Math.round(temperatureAfterDissolving({ waterMl: 1000, waterC: 50, additions: [{ chemical: 'sodium-thiosulfate-pentahydrate', grams: 240 }] })) // → 40
 */
export function temperatureAfterDissolving(
  question: { waterMl: number; waterC: number; additions: Addition[] },
  catalogue: Catalogue = builtIn,
): number {
  const course = temperatureCourse(question, catalogue)
  const unknown = course.filter((point) => point.change === null).map((point) => point.chemical)
  if (unknown.length > 0)
    throw new DomainError(
      'no-data',
      `The heat of solution of ${unknown.map((chemical) => chemical.name).join(', ')} is not known: measure the temperature.`,
      unknown.map((chemical) => chemical.id),
    )
  return course.at(-1)?.celsius ?? question.waterC
}
