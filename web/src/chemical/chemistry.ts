import * as core from '@selvrin/core'
import type { Catalogue, ChemicalId, Formula, MixEvent, ShelfJar } from '@selvrin/core'
import { computed } from 'vue'
import { ownChemicals } from './own'

/**
 * The chemistry of core with this darkroom's catalogue: the built-in one with its own chemicals and edits. Components take these functions instead of
 * core's, and follow every change of the catalogue.
 */
const current = computed<Catalogue>(() => core.withOwn(ownChemicals.value))
export const catalogue = (): Catalogue => current.value

type Amounts = Partial<Record<ChemicalId, number>>
type Line = Parameters<typeof core.jarsFor>[0]
type Priced = Parameters<typeof core.costOf>[0]

export const chemicalOf = (id: ChemicalId) => core.chemicalOf(id, current.value)
export const linesOf = (formula: Formula) => core.linesOf(formula, current.value)
export const checkFormula = (formula: Formula) => core.checkFormula(formula, current.value)
export const checkWeighing = (formula: Formula, readabilityG: number) => core.checkWeighing(formula, readabilityG, current.value)
export const perLitre = (formula: Formula) => core.perLitre(formula, current.value)
export const estimatePh = (amounts: Amounts, options?: { atC?: number }) => core.estimatePh(amounts, options, current.value)
export const explainReading = (amounts: Amounts, ph: number, options?: { atC?: number }) =>
  core.explainReading(amounts, ph, options, current.value)
export const jarFactor = (id: ChemicalId, jar: Pick<ShelfJar, 'chemical' | 'assay'>) => core.jarFactor(id, jar, current.value)
export const jarsFor = <J extends ShelfJar>(line: Line, jars: J[]) => core.jarsFor(line, jars, current.value)
export const takingFrom = (line: Line, jar: ShelfJar) => core.takingFrom(line, jar, current.value)
export const asOnShelf = (formula: Formula, jars: ShelfJar[]) => core.asOnShelf(formula, jars, current.value)
export const asTaken = (formula: Formula, taken: Parameters<typeof core.asTaken>[1]) => core.asTaken(formula, taken, current.value)
export const shortages = (formula: Formula, jars: ShelfJar[]) => core.shortages(formula, jars, current.value)
export const shelfFindings = (formula: Formula, jars: ShelfJar[]) => core.shelfFindings(formula, jars, current.value)
export const batchesLeft = (formula: Formula, id: ChemicalId, jars: ShelfJar[]) => core.batchesLeft(formula, id, jars, current.value)
export const clashesOf = (ids: ChemicalId[]) => core.clashesOf(ids, current.value)
export const pricesFor = (formula: Formula, jars: Parameters<typeof core.pricesFor>[1]) => core.pricesFor(formula, jars, current.value)
export const costOf = (formula: Priced, prices: Amounts) => core.costOf(formula, prices, current.value)
export const compareFormulas = (one: Formula, other: Formula) => core.compareFormulas(one, other, current.value)
export const belowReorder = (jars: Parameters<typeof core.belowReorder>[0]) => core.belowReorder(jars, current.value)
export const lackingFor = (formulas: Formula[], jars: Parameters<typeof core.lackingFor>[1]) =>
  core.lackingFor(formulas, jars, current.value)
export const mixState = (formula: Formula, finalMl: number, events: MixEvent[], secondCheck = false) =>
  core.mixState(formula, finalMl, events, secondCheck, current.value)
export const whatGoesIn = (state: Parameters<typeof core.whatGoesIn>[0]) => core.whatGoesIn(state, current.value)
export const cautionsOf = (formula: Formula) => core.cautionsOf(formula, current.value)
export const safetyFirst = (formula: Formula) => core.safetyFirst(formula, current.value)
export const containerAdvice = (formula: Formula) => core.containerAdvice(formula, current.value)
