import { type StorageGroup } from '@selvrin/core'
import type { Jar } from '@selvrin/core/contract'

/** What is known of a jar, as it is being typed. */
export interface JarDraft {
  lot: string
  place: string
  opened: string
  assay: string
  price: string
  reorderG: number | null
  spoonG: number | null
  storage: StorageGroup | ''
}
type Facts = Pick<Jar, 'lot' | 'place' | 'openedAt' | 'assay' | 'pricePerKg' | 'reorderG' | 'spoonG' | 'storage'>

export const emptyJar = (): JarDraft => ({
  lot: '',
  place: '',
  opened: '',
  assay: '',
  price: '',
  reorderG: null,
  spoonG: null,
  storage: '',
})

/** A day as it is written: 2026-04-14. */
const dayOf = (at: number): string => new Date(at).toISOString().slice(0, 10)

export const jarDraft = (jar: Jar): JarDraft => ({
  lot: jar.lot,
  place: jar.place,
  opened: jar.openedAt === null ? '' : dayOf(jar.openedAt),
  assay: jar.assay === null ? '' : `${Math.round(jar.assay * 1000) / 10} %`,
  price: jar.pricePerKg === null ? '' : String(jar.pricePerKg),
  reorderG: jar.reorderG,
  spoonG: jar.spoonG,
  storage: jar.storage ?? '',
})

/** Reads a draft: the facts, or what is wrong with which field. */
export function readJar(draft: JarDraft): { facts: Facts | null; problems: Record<string, string> } {
  const problems: Record<string, string> = {}
  const number = (field: string, text: string, words: string): number | null => {
    const plain = text.replace('%', '').trim().replace(',', '.')
    if (plain === '') return null
    const value = Number(plain)
    if (!Number.isFinite(value) || value < 0) problems[field] = words
    return value
  }
  const opened = draft.opened.trim()
  const openedAt = opened === '' ? null : Date.parse(`${opened}T12:00:00Z`)
  if (openedAt !== null && (Number.isNaN(openedAt) || !/^\d{4}-\d{2}-\d{2}$/.test(opened))) problems.opened = 'Write the day as 2026-04-14.'
  const percent = number('assay', draft.assay, 'Write a share such as 85 %.')
  const assay = percent === null ? null : draft.assay.includes('%') || percent > 1.2 ? percent / 100 : percent
  if (assay !== null && !problems.assay && !(assay > 0 && assay <= 1.2)) problems.assay = 'An assay is a share such as 85 %.'
  const pricePerKg = number('price', draft.price, 'Write a sum such as 12.50.')
  if (Object.keys(problems).length > 0) return { facts: null, problems }
  const { lot, place, reorderG, spoonG, storage } = draft
  return { facts: { lot, place, openedAt, assay, pricePerKg, reorderG, spoonG, storage: storage === '' ? null : storage }, problems }
}
