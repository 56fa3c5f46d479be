import type { CalibrationRow } from '../../contract/trays'
import {
  calibrationBody,
  swaps,
  type CalibrationBody,
  type ContactBody,
  type FiltersBody,
  type SwapBody,
  type WedgesBody,
} from '../../print/calibration'
import { cellReader } from '../reader'
import { fits } from '../settled'
import { shaped, wrong, type Present, type Reader } from '../understood'
import { amount, given, moment, round } from '../written'
import { readFigures, showFigures } from './cells'
import { calibrationRecord, type CalibrationRecord } from './records'

const pair = ({ beforeS, afterS }: { beforeS: number; afterS: number }): string => showFigures([beforeS, afterS])
const swapCells = ({ of, stepStops, light, dark, note }: SwapBody) => ({
  ...{ what: of, light_tone: pair(light), dark_tone: pair(dark), step: round(stepStops), ...given('note', note) },
})
const contactCells = ({ developer, film, m, lensN, grade, firstS, stepStops, bands, chosen, densities }: ContactBody) => ({
  ...{ what: 'contact' as const, ...given('developer', developer), film, enlargement: round(m), lens_stop: round(lensN) },
  ...{ ...given('grade', grade), first: amount(firstS, 's'), step: round(stepStops), bands },
  ...{ ...given('band', chosen === null ? null : chosen + 1), ...given('densities', showFigures(densities)) },
})
const wedgeCells = ({ developer, stepD, key, readings, note }: WedgesBody) => ({
  ...{ what: 'wedges' as const, ...given('developer', developer), step_density: round(stepD), keeps: key, ...given('note', note) },
  wedges: readings
    .map(({ y, m, seconds, black, grey, white, light }) =>
      showFigures([y, m, seconds, black, grey, white, ...(light === null ? [] : [light])], ' / '),
    )
    .join('; '),
})
const filterCells = ({ dial, units, beforeS, afterS, note }: FiltersBody) => ({
  ...{ what: 'filters' as const, dial, units: round(units), grey: pair({ beforeS, afterS }), ...given('note', note) },
})
function cellsOf(body: CalibrationBody) {
  if (body.kind === 'swap') return swapCells(body)
  if (body.kind === 'contact') return contactCells(body)
  return body.kind === 'wedges' ? wedgeCells(body) : filterCells(body)
}

/** What was matched and measured, with the names of what it holds for. */
export const calibrationsOut = ({ calibrations = [], enlargers = [], papers = [] }: Present): CalibrationRecord[] =>
  calibrations.map(({ id, at, by, body }: CalibrationRow) => ({
    ...{ id, at: moment(at), ...cellsOf(body), by },
    ...given('enlarger', enlargers.find((one) => one.id === body.enlargerId)?.name),
    ...given('paper', papers.find((one) => one.id === body.paperId)?.name),
  }))

type Read = ReturnType<typeof cellReader>
function readSwap(record: CalibrationRecord, read: Read): object {
  const tone = (field: 'light_tone' | 'dark_tone'): { beforeS: number; afterS: number } => {
    const figures = read.as(field, read.needText(field, record[field]) || '1;1', (text) => readFigures(text), [1, 1])
    return { beforeS: figures[0] ?? 0, afterS: figures[1] ?? 0 }
  }
  const step = read.number('step', record.step) ?? 1 / 6
  return {
    kind: 'swap',
    of: record.what,
    stepStops: step,
    light: tone('light_tone'),
    dark: tone('dark_tone'),
    note: read.text(record.note),
  }
}
function readContact(record: CalibrationRecord, read: Read): object {
  const densities = read.as('densities', record.densities, (text) => (text === '' ? [] : readFigures(text)), [])
  const band = read.number('band', record.band)
  return {
    ...{ kind: 'contact', m: read.number('enlargement', record.enlargement), lensN: read.number('lens_stop', record.lens_stop) },
    ...{ grade: read.text(record.grade) || null, developer: read.text(record.developer), film: read.text(record.film) },
    ...{ firstS: read.needQuantity('first', record.first, 'time'), stepStops: read.number('step', record.step) ?? 0.5 },
    ...{ bands: read.number('bands', record.bands) ?? densities.length, chosen: band === null ? null : band - 1, densities },
  }
}
function readWedges(record: CalibrationRecord, read: Read): object {
  const rows = read.as('wedges', read.needText('wedges', record.wedges), (text) => text.split(';').map((row) => readFigures(row, '/')), [])
  return {
    ...{ kind: 'wedges', stepD: read.number('step_density', record.step_density), key: record.keeps || 'middle' },
    ...{ developer: read.text(record.developer), note: read.text(record.note) },
    readings: rows.map(([y, m, seconds, black, grey, white, light = null]) => ({ y, m, seconds, black, grey, white, light })),
  }
}
function readFilters(record: CalibrationRecord, read: Read): object {
  const grey = read.as('grey', read.needText('grey', record.grey) || '1;1', (text) => readFigures(text), [1, 1])
  return {
    ...{ kind: 'filters', dial: record.dial, units: read.number('units', record.units), note: read.text(record.note) },
    ...{ beforeS: grey[0] ?? 0, afterS: grey[1] ?? 0 },
  }
}
const readers = { contact: readContact, wedges: readWedges, filters: readFilters, developer: readSwap, box: readSwap, lamp: readSwap }
const isSwap = (what: CalibrationRecord['what']): boolean => swaps.some((one) => one === what)
const names = { contact: 'standard contact time', wedges: 'dials by wedges', filters: 'what a dial costs' } as Record<string, string>

/** What was matched and measured elsewhere, or here; what is here already is passed over. */
export function calibrationReader(present: Present, newId: () => string): Reader {
  const there = new Set(present.calibrations?.map((one) => one.id))
  return (one) => {
    const shape = shaped(calibrationRecord, one)
    if (!('record' in shape)) return shape
    const { record } = shape
    const problems: string[] = []
    const read = cellReader(problems)
    const id = read.id('id', record.id)
    const named = (what: string, name: string, all: { id: string; name: string }[] = []): string | null => {
      const found = all.find((row) => row.name.toLowerCase() === name.toLowerCase())
      if (name !== '' && !found) problems.push(`${what}: there is no ${what} “${name}” here. Read its file in first.`)
      return found?.id ?? null
    }
    const [enlarger, paper] = [read.text(record.enlarger), read.text(record.paper)]
    const holds = { enlargerId: named('enlarger', enlarger, present.enlargers), paperId: named('paper', paper, present.papers) }
    if (record.what === 'filters' && enlarger === '') problems.push('Dials are of one enlarger: name it.')
    if (!isSwap(record.what) && record.what !== 'filters' && (enlarger === '' || paper === ''))
      problems.push('It holds for one enlarger and one paper: name both.')
    const wanted = { ...holds, ...readers[record.what](record, read) }
    const at = read.moment('at', record.at)
    const body = problems.length > 0 ? null : fits(calibrationBody, wanted, problems)
    if (!body) return wrong(one.line, '', problems)
    const says = [names[record.what] ?? `another ${record.what}`, paper || 'all papers', enlarger || 'all enlargers'].join(', ')
    const isHere = id !== null && there.has(id)
    if (id !== null) there.add(id)
    const row = isHere ? null : { kind: 'calibrations' as const, id: id ?? newId(), at, body }
    return { line: one.line, state: isHere ? 'same' : 'new', says, changes: [], problems: [], notes: [], row }
  }
}
