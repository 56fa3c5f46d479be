import { DomainError, parseNumber } from '@selvrin/core'
import { figure, manner } from '../session/manner'

/* Readers of what is typed where no unit belongs to it, for `ReadField`; each throws the sentence against what it cannot read. */

/** A figure with the person's decimal sign. */
export const readFigure = (text: string): number => parseNumber(text, { decimal: manner.value.decimal })
export const writeFigure = (value: number): string => figure(value)

/** A whole number, as `words` ask for it. */
export const readWhole =
  (words: string) =>
  (text: string): number => {
    if (!/^\d{1,6}$/.test(text.trim())) throw new DomainError('not-whole', words)
    return Number(text)
  }

function inPercent(text: string): number {
  try {
    return readFigure(text.replace('%', ''))
  } catch {
    throw new DomainError('not-a-share', 'Write a share such as 85 %.')
  }
}
/** A share, typed in per cent: 85 or 85 %. */
export const readPercent = (text: string): number => inPercent(text) / 100
export const writePercent = (share: number): string => `${figure(Math.round(share * 1e6) / 1e4)} %`

/** A share near one, typed as 85, 85 % or 0.85. */
export function readShare(text: string): number {
  const value = inPercent(text)
  return text.includes('%') || value > 1.2 ? value / 100 : value
}

/** The noon of a day (ms), typed as 2026-04-14. */
export function readDay(text: string): number {
  const day = text.trim()
  const at = /^\d{4}-\d{2}-\d{2}$/.test(day) ? Date.parse(`${day}T12:00:00Z`) : NaN
  // the thirtieth of February is read as the second of March
  if (Number.isNaN(at) || writeDay(at) !== day) throw new DomainError('not-a-day', 'Write the day as 2026-04-14.')
  return at
}
export const writeDay = (at: number): string => new Date(at).toISOString().slice(0, 10)
