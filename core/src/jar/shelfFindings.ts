import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import type { Finding } from '../finding'
import type { Formula } from '../formula/formula'
import { blocksOf } from '../formula/asTaken'
import { linesOf } from '../formula/lines'
import { applyRepair, type Repair } from '../formula/repair'
import { substitutes, type Substitute } from '../formula/substitutes'
import { showMass } from '../quantity/format'
import { jarFactor, jarsFor, type ShelfJar } from './asOnShelf'

/**
 * Findings for lines the jars cannot give, each with what the shelf holds that does the same work: shelf-1. Converted hydrates are no finding, the
 * card does them by itself; pairs that make the chemical, and what follows from another salt, are offered as repairs.
 * @example
 * shelfFindings(developer, jars).map((finding) => finding.rule) // → ['shelf-1']
 */
export function shelfFindings(formula: Formula, jars: ShelfJar[], catalogue: Catalogue = builtIn): Finding[] {
  const heldG = (chemical: string) =>
    jars.reduce((sum, jar) => sum + (jar.chemical === chemical ? jar.grams / jarFactor(chemical, jar, catalogue) : 0), 0)
  return linesOf(formula, catalogue).flatMap((line): Finding[] => {
    if (line.dissolved || line.grams === 0) return []
    const enough = jarsFor(line, jars, catalogue).some((jar) => jar.grams >= line.grams * jarFactor(line.chemical.id, jar, catalogue))
    if (enough || heldG(line.chemical.id) >= line.grams) return []
    const { chemical: _was, grams: _grams, millilitres: _ml, ...rest } = line.addition
    const repairOf = (one: Substitute): Repair => ({
      kind: 'substitute',
      step: line.step,
      additions: one.chemicals.map((part) => ({ ...rest, ...part })),
    })
    const before = blocksOf(formula, catalogue).length
    const instead = substitutes(line.chemical.id, line.grams, catalogue).find(
      (one) =>
        one.chemicals.every((part) => heldG(part.chemical) >= part.grams) &&
        blocksOf(applyRepair(formula, repairOf(one)), catalogue).length <= before,
    )
    const lacking = `${showMass(line.grams)} of ${line.chemical.name} are not on the shelf`
    if (!instead) return [{ rule: 'shelf-1', severity: 'advice', step: line.step, message: `${lacking}, nor anything that does its work.` }]
    const words = instead.chemicals.map((part) => `${showMass(part.grams)} ${chemicalOf(part.chemical, catalogue).name}`).join(' and ')
    return [
      {
        rule: 'shelf-1',
        severity: 'advice',
        step: line.step,
        message: `${lacking}; ${words} would do. ${instead.consequences.join(' ')}`,
        repair: repairOf(instead),
      },
    ]
  })
}
