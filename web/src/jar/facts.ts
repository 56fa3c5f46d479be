import { storageWords, type StorageGroup } from '@selvrin/core'
import type { Jar } from '@selvrin/core/contract'
import { writeDay, writePercent } from '../fields/read'
import { figure } from '../session/manner'

/** What is known of a jar beside its ledger. */
const factKeys = ['lot', 'place', 'openedAt', 'assay', 'pricePerKg', 'reorderG', 'spoonG', 'storage'] as const
export type JarFacts = Pick<Jar, (typeof factKeys)[number]>

export const noFacts = (): JarFacts => ({
  lot: '',
  place: '',
  openedAt: null,
  assay: null,
  pricePerKg: null,
  reorderG: null,
  spoonG: null,
  storage: null,
})
export const factsOf = (jar: Jar): JarFacts => ({ ...noFacts(), ...Object.fromEntries(factKeys.map((key) => [key, jar[key]])) })

const words: Record<keyof JarFacts, string> = {
  lot: 'Lot',
  place: 'Place',
  openedAt: 'Opened',
  assay: 'Assay',
  pricePerKg: 'Price a kg',
  reorderG: 'Order below, g',
  spoonG: 'Spoon, g',
  storage: 'Stands with',
}
function told(key: keyof JarFacts, facts: Partial<Record<keyof JarFacts, unknown>>): string {
  const value = facts[key]
  if (value === null || value === undefined || value === '') return 'nothing'
  if (key === 'openedAt') return writeDay(value as number)
  if (key === 'assay') return writePercent(value as number)
  if (key === 'storage') return storageWords[value as StorageGroup].split(':')[0] ?? String(value)
  return typeof value === 'number' ? figure(value) : String(value)
}
/** Where two accounts of a jar differ, as they are said. */
export const differing = (theirs: Jar, mine: Partial<Record<keyof JarFacts, unknown>>) =>
  factKeys
    .map((key) => ({ name: words[key], theirs: told(key, theirs), mine: told(key, mine) }))
    .filter((line) => line.theirs !== line.mine)
