import { dayMs } from '@selvrin/core'
import { now } from '../clock'
import { digits } from '../session/manner'

const yearOf = (at: number, zone: string): string => new Intl.DateTimeFormat('en-GB', { year: 'numeric', timeZone: zone }).format(at)
/** The year is said where it is another than today's. */
const year = (at: number, zone: string, today: number) => (yearOf(at, zone) === yearOf(today, zone) ? {} : ({ year: 'numeric' } as const))

/** '21:40', by the clock of the darkroom. */
export const showClock = (at: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: zone }).format(at)

/** 'Tue 14 Apr' in the darkroom's zone, 'Tue 14 Apr 2025' of another year. */
export const showDate = (at: number, zone: string, today = now()): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', ...year(at, zone, today), timeZone: zone })
    .format(at)
    .replace(',', '')
/** '14 Apr', '14 Apr 2025' */
export const showDay = (at: number, zone: string, today = now()): string =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', ...year(at, zone, today), timeZone: zone }).format(at)
/** 'Apr 2026' */
export const showMonth = (at: number, zone: string): string =>
  new Intl.DateTimeFormat('en-GB', { month: 'short', year: 'numeric', timeZone: zone }).format(at)
/** 'Tue 14 Apr, 19:30' */
export const showMoment = (at: number, zone: string, today = now()): string => `${showDate(at, zone, today)}, ${showClock(at, zone)}`

/** '9 days', '5 hours', '1 day' */
export function showSpan(spanDays: number): string {
  const plural = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`
  if (spanDays >= 1) return plural(Math.floor(spanDays), 'day')
  return spanDays * 24 >= 1 ? plural(Math.floor(spanDays * 24), 'hour') : plural(Math.max(1, Math.floor(spanDays * 1440)), 'minute')
}
export const daysBetween = (from: number, to: number): number => (to - from) / dayMs

/** A term of ours inside a sentence; what begins otherwise than with one capital ('pH', 'EDTA') stays. Never for names people gave. */
export const inSentence = (term: string): string => (/^[A-Z][a-z\s]/.test(term) ? term.charAt(0).toLowerCase() + term.slice(1) : term)
/** '1 bottle', '3 bottles' */
export const counted = (count: number, word: string): string => `${count} ${word}${count === 1 ? '' : 's'}`

/** for style sheets: '40%' */
export const cssPercent = (share: number): string => `${Math.round(share * 1000) / 10}%`
export const percent = (share: number): string => `${Math.round(share * 100)} %`
const rollWord = (count: number): string => (Math.abs(count - 1) < 0.05 ? 'roll' : 'rolls')
/** '7 rolls', '1 roll', '6.5 rolls' */
export const showRolls = (count: number): string => `${digits(count, 1).replace(/[.,]0$/, '')} ${rollWord(count)}`
/** What a bath is still good for, rather too little than too much: whole rolls from ten on. */
export const showRollsLeft = (count: number): string => showRolls(count >= 10 ? Math.floor(count) : Math.floor(count * 10) / 10)
