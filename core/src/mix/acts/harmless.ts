import { chemicalOf } from '../../chemical/equivalentMass'
import type { Catalogue } from '../../chemical/chemical'
import { impossible } from '../../error'
import { blocksOf } from '../../formula/asTaken'
import type { Formula } from '../../formula/formula'
import { scaleFormula } from '../../formula/scaleFormula'
import type { MixLine, MixState } from '../mixState'
import { whatGoesIn } from '../whatGoesIn'

/**
 * Refuses a mix in which what really goes in never meets; `what`: the jar or bottle that is asked for.
 * @throws Refused 'never-meets'
 * @example
 * requireHarmless({ ...developer, additions: [{ chemical: 'sodium-hypochlorite', millilitres: 50 }, { chemical: 'citric-acid', grams: 20 }] }, 'The jar of citric acid', catalogue) // throws 'never-meets'
 */
export function requireHarmless(formula: Formula, what: string, catalogue: Catalogue): void {
  const [block] = blocksOf(formula, catalogue)
  if (block) throw impossible('never-meets', `${what} does not go into this: ${block.message} Take another jar or bottle.`)
}

/**
 * Refuses to draw a line from a bottle (`held`: what is really in it) that is not its stock solution, or in which something is that never meets the rest.
 * @throws Refused 'other-stock', 'never-meets'
 * @example
 * requireStock(begun, weighing, fixer, catalogue) // throws 'other-stock'
 */
export function requireStock(state: MixState, { line }: MixLine, held: Formula, catalogue: Catalogue): void {
  const works = held.additions.some(({ chemical }) => {
    const [a, b] = [chemicalOf(chemical, catalogue), line.chemical]
    return a.id === b.id || (a.group !== undefined && a.group === b.group)
  })
  if (!works)
    throw impossible('other-stock', `There is no ${line.chemical.name} in that bottle. Take its stock solution.`, { field: 'bottleId' })
  const others = whatGoesIn(state, catalogue)
  const drawn = scaleFormula(held, line.liquidMl).additions
  const additions = others.additions.flatMap((addition, step) => (step === line.step ? drawn : [addition]))
  requireHarmless({ ...others, additions }, 'What is in that bottle', catalogue)
}
