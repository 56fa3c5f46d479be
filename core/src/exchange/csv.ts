import Papa from 'papaparse'
import { DomainError } from '../error'
import { coatedRecord, lampRecord, swatchRecord } from './bench/records'
import { calibrationRecord, enlargerRecord, paperRecord, printRecord } from './print/records'
import type { ExchangeKind, FormulaRecord } from './schemas'

type Flat = Record<string, string>

const useColumns = [
  'school',
  'rolls_per_litre',
  'dilutions',
  'least_stock_per_roll',
  'keeps_full_days',
  'keeps_half_days',
  'keeps_working_days',
  'keeps_tray_days',
  'time_per_roll',
  'time_steps',
  'replenish_per_roll',
  'replenish_turnovers',
  'replenish_from',
  'pair_moves',
  'pair_days',
  'fixes',
  'long_keeping',
]
const additionColumns = ['chemical', 'amount', 'percent', 'at', 'role', 'whole_pack', 'watch']

/** A record that has parts stands on as many lines as it has, its own columns filled on the first; the next record begins where what it is known by changes. */
interface Parted {
  part: string
  /** columns of a part, after the prefix that keeps them apart from the record's own */
  columns: string[]
  prefix: string
  known: string[]
}
const without = (shape: object, part: string): string[] => Object.keys(shape).filter((key) => key !== part)
const partsOf = (list: { unwrap: () => { element: { shape: object } } }): string[] => Object.keys(list.unwrap().element.shape)
const parted: Partial<Record<ExchangeKind, Parted>> = {
  formulas: { part: 'additions', columns: additionColumns, prefix: '', known: ['name'] },
  papers: { part: 'boxes', columns: partsOf(paperRecord.shape.boxes), prefix: '', known: ['name'] },
  prints: { part: 'tries', columns: partsOf(printRecord.shape.tries), prefix: 'try_', known: ['id', 'title'] },
}
const prefixed = ({ columns: own, prefix }: Parted): string[] => own.map((column) => `${prefix}${column}`)

const columns: Record<ExchangeKind, string[]> = {
  papers: [...without(paperRecord.shape, 'boxes'), ...(parted.papers ? prefixed(parted.papers) : [])],
  enlargers: Object.keys(enlargerRecord.shape),
  calibrations: Object.keys(calibrationRecord.shape),
  swatches: Object.keys(swatchRecord.shape),
  lamps: Object.keys(lampRecord.shape),
  coated: Object.keys(coatedRecord.shape),
  prints: [...without(printRecord.shape, 'tries'), ...(parted.prints ? prefixed(parted.prints) : [])],
  chart: ['film', 'formula', 'dilution', 'ei', 'temperature', 'time', 'source', 'note'],
  shelves: ['name', 'temperature'],
  tanks: ['name', 'kind', 'format', 'covers', 'carries_out'],
  bottles: [
    'code',
    'label',
    'formula',
    'dilution',
    'size',
    'made',
    'shelf',
    'batch',
    'batch_ph',
    'retired',
    'retired_because',
    ...useColumns,
  ],
  ledger: [
    'id',
    'bottle',
    'at',
    'what',
    'change',
    'rolls',
    'prints',
    'colour_rolls',
    'water_in',
    'stands_in',
    'stands_at',
    'brought',
    'brought_tests',
    'bath',
    'other',
    'together',
    'overrules',
    'takes_back',
    'by',
    'note',
  ],
  tests: [
    'id',
    'bottle',
    'at',
    'test',
    'reading',
    'seen',
    'fresh_beside',
    'temperature',
    'slow_film',
    'approximate',
    'fresh',
    'verdict',
    'note',
  ],
  jars: ['code', 'chemical', 'lot', 'place', 'holds', 'opened', 'assay', 'price_per_kg', 'reorder_below'],
  formulas: [
    'name',
    'family',
    'purpose',
    'makes',
    'start_with',
    'mix_at',
    'store_above',
    'water',
    ...useColumns,
    'usual_time',
    'temperature_coefficient',
    'coolest',
    'warmest',
    'note',
    'combine',
    ...additionColumns,
  ],
}

/** A record of a file and the line it begins on, counted as an editor does. */
export interface FileRecord {
  line: number
  record: Record<string, unknown>
}

/** A spreadsheet runs what begins like a formula: a leading ' keeps it text, and is taken off again when read. */
export const guard = (text: string): string => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text)
const unguard = (text: string): string => (/^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text)

/** Records as CSV with a header. A formula stands on as many lines as it has additions, its own columns filled on the first. */
export function toCsv(kind: ExchangeKind, records: object[]): string {
  const parts = parted[kind]
  const flat = parts ? (records as Record<string, unknown>[]).flatMap((record) => linesOf(record, parts)) : (records as Flat[])
  const rows = flat.map((record) => columns[kind].map((column) => guard(String((record as Record<string, unknown>)[column] ?? ''))))
  return Papa.unparse({ fields: columns[kind], data: rows }, { newline: '\r\n' })
}

function linesOf(record: Record<string, unknown>, { part, prefix, known }: Parted): Record<string, unknown>[] {
  const { [part]: parts = [], combine, ...own } = record as { combine?: FormulaRecord['combine'] } & Record<string, unknown>
  const cells = (parts as object[]).map((one) => Object.fromEntries(Object.entries(one).map(([key, value]) => [`${prefix}${key}`, value])))
  const head = { ...own, ...(combine ? { combine: combine.map((one) => `${one.part}=${one.formula}`).join('; ') } : {}) }
  const again = Object.fromEntries(known.map((key) => [key, own[key]]))
  const [first, ...rest] = cells
  return [{ ...head, ...first }, ...rest.map((line) => ({ ...again, ...line }))]
}

/** The records of a CSV file. Columns may come in any order, with comma, semicolon or tab; unknown columns throw `unknown-column`. */
export function fromCsv(kind: ExchangeKind, text: string): FileRecord[] {
  const { data, meta } = Papa.parse<Flat>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) =>
      name
        .trim()
        .toLowerCase()
        .replace(/[\s-]+/g, '_'),
    transform: (value) => unguard(value.trim()),
  })
  const unknown = (meta.fields ?? []).filter((name) => name !== '' && !columns[kind].includes(name))
  if (unknown.length > 0)
    throw new DomainError('unknown-column', `The column “${unknown[0]}” is not known here. There are ${columns[kind].join(', ')}.`)
  const rows = data.map((record, i) => ({ line: i + 2, record }))
  const parts = parted[kind]
  return parts ? gather(rows, parts) : rows.map(({ line, record }) => ({ line, record: withoutBlanks(record) }))
}

const withoutBlanks = (record: Flat): Record<string, unknown> =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined && value !== ''))

/** What stands in the column of a formula's parts: name=formula; name=formula. */
const combined = (cell: string): { part: string; formula: string }[] =>
  cell.split(';').map((pair) => {
    const [part = '', ...formula] = pair.split('=')
    return { part: part.trim(), formula: formula.join('=').trim() }
  })

/** Lines of one record follow each other and repeat what it is known by, or leave it blank. */
function gather(rows: { line: number; record: Flat }[], of: Parted): FileRecord[] {
  const records: FileRecord[] = []
  const keys = prefixed(of)
  let last = ''
  for (const { line, record } of rows) {
    const cells = withoutBlanks(record)
    const known = of.known.map((key) => record[key] ?? '').join('\n')
    if (known.trim() !== '' && known !== last) {
      last = known
      const { combine, ...own } = Object.fromEntries(Object.entries(cells).filter(([key]) => !keys.includes(key)))
      records.push({ line, record: { ...own, ...(combine ? { combine: combined(String(combine)) } : {}), [of.part]: [] } })
    }
    const part = Object.fromEntries(
      of.columns.flatMap((key, i) => (cells[keys[i] ?? ''] === undefined ? [] : [[key, cells[keys[i] ?? '']]])),
    )
    if (Object.keys(part).length > 0) (records.at(-1)?.record[of.part] as object[] | undefined)?.push(part)
  }
  return records
}
