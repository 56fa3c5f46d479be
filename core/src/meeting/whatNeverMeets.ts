import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import { requireAmounts, requireTemperatures } from '../error'
import { pairOf, phCourse } from './course'
import { acid } from './kinds'
import type { Form, Part } from './reach'
import { rows } from './rows'

/** Something that goes in; with no amount the worst is assumed of it. */
export interface Met {
  chemical: ChemicalId
  /** g of the product in a litre of the whole */
  gramsPerLitre?: number
  /** dry powder, a liquid as it is sold, or dissolved; without it what has an amount is dissolved and what has none is as it is sold */
  form?: Form
}

/** Two that never meet, the row of the table that says so, and what comes of it. */
export interface Meeting {
  rule: string
  one: ChemicalId
  other: ChemicalId
  danger: string
}

const usualC = 20

/**
 * Which of these never meet, judged by what they are in water and in the order in which they go in: at the end and at every moment before. Every answer
 * is a hard block. `atC` is the temperature in °C. Example: a sulfide with potassium alum is never-1. Unknown chemicals throw `unknown-chemical`.
 * @example
 * whatNeverMeets([{ chemical: 'sodium-hypochlorite' }, { chemical: 'citric-acid' }]).map((one) => one.rule) // → ['never-6']
 * whatNeverMeets([{ chemical: 'metol' }, { chemical: 'sodium-sulfite' }]) // → []
 */
export function whatNeverMeets(inOrder: Met[], options: { atC?: number } = {}, catalogue: Catalogue = builtIn): Meeting[] {
  const atC = options.atC ?? usualC
  requireTemperatures({ 'The temperature': atC })
  const parts = inOrder.map(({ chemical, gramsPerLitre, form }): Part => {
    const held = chemicalOf(chemical, catalogue)
    if (gramsPerLitre !== undefined) requireAmounts({ [`The amount of ${held.name}`]: gramsPerLitre })
    const asSold: Form = held.densityGPerMl === undefined ? 'solid' : 'concentrated'
    return { chemical: held, gramsPerLitre, form: form ?? (gramsPerLitre === undefined ? asSold : 'solution') }
  })
  const here = parts.filter((part) => part.gramsPerLitre !== 0)
  const phs = phCourse(here, catalogue)
  const found = new Map<string, Meeting & { byAcid: boolean }>()
  for (const row of rows)
    for (const one of here.filter((part) => row.one.holds(part.chemical)))
      for (const other of here.filter((part) => row.other.holds(part.chemical))) {
        if (one.chemical.id === other.chemical.id) continue
        const [a, b] = [one.chemical.id, other.chemical.id]
        // one row may have both in it: said once
        const key = [row.rule, ...[a, b].sort()].join(' ')
        if (found.has(key) || !(row.when?.(pairOf(one, other, here, atC, phs)) ?? true)) continue
        found.set(key, { rule: row.rule, one: a, other: b, danger: row.danger, byAcid: acid.holds(other.chemical) })
      }
  const all = [...found.values()]
  // where an acid makes the pH, the milder donors beside it are not blamed
  return all
    .filter(
      (meeting) =>
        meeting.byAcid ||
        !phRows.includes(meeting.rule) ||
        !all.some((other) => other.byAcid && other.rule === meeting.rule && other.one === meeting.one),
    )
    .map(({ rule, one, other, danger }) => ({ rule, one, other, danger }))
}

const phRows = ['never-2', 'never-5', 'never-9']
