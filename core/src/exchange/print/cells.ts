import { DomainError } from '../../error'
import { casts } from '../../print/colour/casts'
import { grades, type Grade } from '../../print/grade'
import type { StripSteps } from '../../print/strip'
import type { PrintOutline } from '../../print/sheet/outline'
import type { PrintExposure, PrintFilter, PrintSaid, StripTry, WholeTry } from '../../print/sheet/tries'
import { round } from '../written'

const unreadable = (what: string, example: string): DomainError =>
  new DomainError('not-a-cell', `“${what}” is not read here: write ${example}.`)
const signed = (value: number): string => `${value < 0 ? '-' : '+'}${round(Math.abs(value))}`
const numberOf = (text: string): number => Number(text.replace(',', '.').replace('−', '-'))
/** parts of a cell with semicolons between them; not those in quotes */
const partsOf = (cell: string): string[] =>
  (cell.match(/(?:"(?:[^"\\]|\\.)*"|[^;"])+/g) ?? []).map((one) => one.trim()).filter((one) => one !== '')

/** Two sides, such as 24 x 30.5, in whatever unit the column is in. */
export const showSides = (one: number, other: number): string => `${round(one)} x ${round(other)}`
export function readSides(cell: string): [number, number] {
  const found = /^([\d.,]+)\s*[x×*]\s*([\d.,]+)(?:\s*(?:cm|mm))?$/i.exec(cell.trim())
  const sides = found && ([numberOf(found[1] ?? ''), numberOf(found[2] ?? '')] as [number, number])
  if (!sides?.every((side) => side > 0)) throw unreadable(cell, 'both sides, such as 24 x 30.5')
  return sides
}

/** A filter: none, grade 2.5, Y0 M45, Y0 M45 grade 3; before colour paper Y60 M50 C0. */
export function showFilter(filter: PrintFilter): string {
  if (filter.kind === 'none') return 'none'
  if (filter.kind === 'set') return `grade ${filter.grade}`
  if (filter.kind === 'pack') return `Y${round(filter.y)} M${round(filter.m)} C${round(filter.c)}`
  return `Y${round(filter.y)} M${round(filter.m)}${filter.grade === null ? '' : ` grade ${filter.grade}`}`
}
const gradeOf = (text: string): Grade => {
  const grade = grades.find((one) => one === text.replace(',', '.'))
  if (grade === undefined) throw unreadable(text, `a grade, ${grades.join(', ')}`)
  return grade
}
export function readFilter(cell: string): PrintFilter {
  if (cell.trim() === '' || /^none$/i.test(cell.trim())) return { kind: 'none' }
  const pack = /^y\s*([\d.,]+)\s*m\s*([\d.,]+)\s*c\s*([\d.,]+)$/i.exec(cell.trim())
  if (pack) return { kind: 'pack', y: numberOf(pack[1] ?? ''), m: numberOf(pack[2] ?? ''), c: numberOf(pack[3] ?? '') }
  const found = /^(?:y\s*([\d.,]+)\s*m\s*([\d.,]+))?\s*(?:grade\s*([\d.,]+))?$/i.exec(cell.trim())
  if (!found || (found[1] === undefined && found[3] === undefined)) throw unreadable(cell, 'none, grade 2.5, Y0 M45, or Y60 M50 C0')
  const grade = found[3] === undefined ? null : gradeOf(found[3])
  if (found[1] === undefined) return { kind: 'set', grade: grade as Grade }
  return { kind: 'dials', y: numberOf(found[1]), m: numberOf(found[2] ?? ''), grade }
}

/** Exposures in their order: 12.5 s grade 2; 8 s grade 5. */
export const showExposures = (all: PrintExposure[]): string =>
  all.map(({ seconds, filter }) => `${round(seconds)} s ${showFilter(filter)}`).join('; ')
export const readExposures = (cell: string): PrintExposure[] =>
  partsOf(cell).map((part) => {
    const found = /^([\d.,]+)\s*s?\b\s*(.*)$/i.exec(part)
    if (!found) throw unreadable(part, '12.5 s grade 2')
    return { seconds: numberOf(found[1] ?? ''), filter: readFilter(found[2] ?? '') }
  })

const nameCell = (name: string): string => (/[;"]|[+\-−@]/.test(name) ? JSON.stringify(name) : name)
const named = (text: string): string => {
  if (!text.startsWith('"')) return text.trim()
  try {
    return String(JSON.parse(text))
  } catch {
    throw unreadable(text, 'the name in whole quotes')
  }
}
const place = /^("(?:[^"\\]|\\.)*"|[^"]+?)\s*([+\-−][\d.,]+)(?:\s*@\s*(\d))?$/
const placeCell = ({ name, stops, exposure }: WholeTry['places'][number]): string =>
  `${nameCell(name)} ${signed(stops)}${exposure === 0 ? '' : ` @${exposure + 1}`}`
function placeOf(part: string): WholeTry['places'][number] {
  const found = place.exec(part)
  if (!found) throw unreadable(part, 'a place and its stops, such as sky +0.5')
  return { name: named(found[1] ?? ''), stops: numberOf(found[2] ?? ''), exposure: Number(found[3] ?? 1) - 1 }
}
/** Places with their stops: sky +0.5; corner -0.25 @2. */
export const showPlaces = (all: WholeTry['places']): string => all.map(placeCell).join('; ')
export const readPlaces = (cell: string): WholeTry['places'] => partsOf(cell).map(placeOf)

/** What was said of a print: whole +0.26; exposure 2 -0.5; grade +1; place sky +0.5; cast red 10; turn 4 / -2 (yellow and magenta). */
export const showSaid = (all: PrintSaid[]): string =>
  all
    .map((one) => {
      if (one.of === 'print') return `whole ${signed(one.stops)}`
      if (one.of === 'exposure') return `exposure ${one.exposure + 1} ${signed(one.stops)}`
      if (one.of === 'cast') return `cast ${one.cast} ${round(one.units)}`
      if (one.of === 'turn') return `turn ${showFigures([one.y, one.m], ' / ')}`
      return one.of === 'grade' ? `grade ${signed(one.halves)}` : `place ${placeCell(one)}`
    })
    .join('; ')
function saidOf(part: string): PrintSaid {
  const [, what = '', rest = ''] = /^(\w+)\s+(.*)$/.exec(part) ?? []
  const stops = numberOf(rest)
  if (what === 'place') return { of: 'place', ...placeOf(rest) }
  if (what === 'cast') {
    const [, name = '', units = ''] = /^(\w+)\s+([\d.,]+)$/.exec(rest) ?? []
    const cast = casts.find((known) => known === name)
    if (!cast) throw unreadable(part, `a cast and its units, such as cast red 10 (${casts.join(', ')})`)
    return { of: 'cast', cast, units: numberOf(units) }
  }
  if (what === 'turn') {
    const [y, m] = readFigures(rest, '/')
    if (y === undefined || m === undefined) throw unreadable(part, 'turn 4 / -2')
    return { of: 'turn', y, m }
  }
  if (what === 'whole' && Number.isFinite(stops)) return { of: 'print', stops }
  if (what === 'grade' && Number.isFinite(stops)) return { of: 'grade', halves: stops }
  const [, exposure, by] = /^(\d)\s+([+\-−][\d.,]+)$/.exec(rest) ?? []
  if (what === 'exposure' && exposure && by) return { of: 'exposure', exposure: Number(exposure) - 1, stops: numberOf(by) }
  throw unreadable(part, 'whole +0.26, grade +1, exposure 2 -0.5, place sky +0.5, cast red 10 or turn 4 / -2')
}
export const readSaid = (cell: string): PrintSaid[] => partsOf(cell).map(saidOf)

/** How a strip steps: stops 8 s by 0.3333, 7 bands, cover; seconds 3 s, 8 bands, mask. */
export const showStrip = ({ steps, bands, way }: Pick<StripTry, 'steps' | 'bands' | 'way'>): string =>
  `${steps.by} ${round(steps.firstS)} s${steps.by === 'stops' ? ` by ${round(steps.stepStops)}` : ''}, ${bands} bands, ${way}`
export function readStrip(cell: string): Pick<StripTry, 'steps' | 'bands' | 'way'> {
  const found = /^(stops|seconds)\s+([\d.,]+)\s*s?(?:\s+by\s+([\d.,]+))?,\s*(\d+)\s*bands,\s*(cover|uncover|mask)$/i.exec(cell.trim())
  if (!found || (found[1] === 'stops') !== (found[3] !== undefined))
    throw unreadable(cell, 'stops 8 s by 0.3333, 7 bands, cover, or seconds 3 s, 8 bands, mask')
  const firstS = numberOf(found[2] ?? '')
  const steps: StripSteps = found[1] === 'stops' ? { by: 'stops', firstS, stepStops: numberOf(found[3] ?? '') } : { by: 'seconds', firstS }
  return { steps, bands: Number(found[4]), way: found[5] as StripTry['way'] }
}

/** A band counted from 1, or two with a dash. */
export const showBand = (chosen: StripTry['chosen']): string => (chosen === null ? '' : chosen.map((one) => one + 1).join('-'))
export function readBand(cell: string): StripTry['chosen'] {
  if (cell.trim() === '') return null
  const found = /^(\d+)(?:\s*[-–]\s*(\d+))?$/.exec(cell.trim())
  if (!found) throw unreadable(cell, 'the band, such as 4, or 4-5')
  const first = Number(found[1]) - 1
  return found[2] === undefined ? [first] : [first, Number(found[2]) - 1]
}

/** Figures with a mark between them. */
export const showFigures = (all: number[], mark = '; '): string => all.map(round).join(mark)
export function readFigures(cell: string, mark = ';'): number[] {
  const figures = cell.split(mark).map((one) => (one.trim() === '' ? NaN : numberOf(one)))
  if (figures.some((one) => !Number.isFinite(one))) throw unreadable(cell, `numbers with ${mark} between them`)
  return figures
}

/** Areas with their places: sky straight 0 / 0 / 1 / 0.3. */
export const showOutline = (all: PrintOutline): string =>
  all.map(({ name, shape, x, y, width, height }) => `${areaName(name)} ${shape} ${showFigures([x, y, width, height], ' / ')}`).join('; ')
const areaName = (name: string): string => (/[;"]|\b(round|straight)\b/.test(name) ? JSON.stringify(name) : name)
const area = /^("(?:[^"\\]|\\.)*"|[^"]+?)\s+(round|straight)\s+([\d.,\s/]+)$/
export const readOutline = (cell: string): PrintOutline =>
  partsOf(cell).map((part) => {
    const found = area.exec(part)
    const [x, y, width, height] = found ? readFigures(found[3] ?? '', '/') : []
    if (!found || x === undefined || y === undefined || width === undefined || height === undefined)
      throw unreadable(part, 'sky straight 0 / 0 / 1 / 0.3')
    return { name: named(found[1] ?? ''), shape: found[2] as PrintOutline[number]['shape'], x, y, width, height }
  })
