import { percentOf, type PrintFilter, type PrintSaid } from '@selvrin/core'
import { digits } from '../session/manner'

/** Words of the print room, in the person's decimal sign. */
export const secondsWords = (s: number): string => `${digits(s, s < 100 ? 1 : 0)} s`
const sign = (value: number): string => (value < 0 ? '−' : '+')
export const stopWords = (stops: number): string => `${sign(stops)}${digits(Math.abs(stops), 2)} stop`
export const percentWords = (stops: number): string => `${sign(stops)}${digits(Math.abs(percentOf(stops)), 0)} %`

const gradeNames: Record<string, string> = { '1.5': '1½', '2.5': '2½', '3.5': '3½', '4.5': '4½' }
export const gradeName = (grade: string): string => gradeNames[grade] ?? grade

export function filterWords(filter: PrintFilter): string {
  if (filter.kind === 'none') return 'no filter'
  if (filter.kind === 'set') return `grade ${gradeName(filter.grade)}`
  const dials = [filter.y > 0 ? `${digits(filter.y, 0)} Y` : '', filter.m > 0 ? `${digits(filter.m, 0)} M` : ''].filter(Boolean).join(' ')
  return `${filter.grade === null ? '' : `grade ${gradeName(filter.grade)}, `}${dials === '' ? 'dials at 0' : dials}`
}

const halves = (value: number): string =>
  `${Math.abs(value) === 1 ? 'half a grade' : Math.abs(value) === 2 ? 'one grade' : `${digits(Math.abs(value) / 2, 1)} grades`} ${value < 0 ? 'softer' : 'harder'}`

export function saidWords(one: PrintSaid, exposures: number): string {
  if (one.of === 'grade') return halves(one.halves)
  if (one.of === 'place') return `${one.name} ${stopWords(one.stops)}`
  const whose = one.of === 'print' || exposures === 1 ? '' : one.exposure === 0 ? 'soft exposure ' : 'hard exposure '
  return `${whose}${one.stops < 0 ? 'lighter' : 'darker'} ${percentWords(one.stops)}`
}
