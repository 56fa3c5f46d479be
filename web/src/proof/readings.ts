import type { TestKind } from '@selvrin/core'
import { digits } from '../session/manner'

/** How the reading of a kind is written down, where it is a figure. */
export interface ReadingForm {
  label: string
  unit: 's' | 'pH' | 'g/L' | 'D'
  /** °C belongs to it */
  temperature: boolean
  most: number
}

const forms: Partial<Record<TestKind, ReadingForm>> = {
  'scrap-density': { label: 'Density of the new scrap', unit: 'D', temperature: true, most: 4 },
  'leader-black': { label: 'Full black after', unit: 's', temperature: true, most: 3600 },
  'developer-ph': { label: 'pH', unit: 'pH', temperature: true, most: 14 },
  'clearing-time': { label: 'Clearing time', unit: 's', temperature: true, most: 3600 },
  'silver-paper': { label: 'Silver', unit: 'g/L', temperature: false, most: 20 },
  'fixer-ph': { label: 'pH', unit: 'pH', temperature: false, most: 14 },
  'stop-indicator': { label: 'or its pH', unit: 'pH', temperature: false, most: 14 },
}
export const readingForm = (kind: TestKind): ReadingForm | null => forms[kind] ?? null

/** A figure as typed, with a point or a comma; seconds also as 1:12. Null while it cannot be read. */
export function readFigure(text: string, form: ReadingForm): number | null {
  const typed = text.trim()
  const clock = form.unit === 's' ? /^(\d{1,3}):([0-5]\d)$/.exec(typed) : null
  const value = clock
    ? Number(clock[1]) * 60 + Number(clock[2])
    : /^\d+([.,]\d+)?(\s*s)?$/.test(typed)
      ? Number(typed.replace(/\s*s$/, '').replace(',', '.'))
      : NaN
  return Number.isFinite(value) && value <= form.most ? value : null
}

/** A reading as it is shown: '79 s', 'pH 8.4', '1.25', '2.5 g/L'. */
export function showReading(kind: TestKind, value: number): string {
  const unit = forms[kind]?.unit
  if (unit === 's') return `${Math.round(value)} s`
  if (unit === 'pH') return `pH ${digits(value, 2)}`
  return unit === 'g/L' ? `${digits(value, 1)} g/L` : `D ${digits(value, 2)}`
}
