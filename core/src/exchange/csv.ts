import Papa from 'papaparse'
import { DomainError } from '../error'
import type { AdditionRecord, ExchangeKind, FormulaRecord } from './schemas'

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
const columns: Record<ExchangeKind, string[]> = {
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
    'chemical',
    'amount',
    'percent',
    'at',
    'role',
    'whole_pack',
    'watch',
  ],
}
const additionColumns = ['chemical', 'amount', 'percent', 'at', 'role', 'whole_pack', 'watch'] as const

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
  const flat = kind === 'formulas' ? (records as FormulaRecord[]).flatMap(formulaLines) : (records as Flat[])
  const rows = flat.map((record) => columns[kind].map((column) => guard(String((record as Record<string, unknown>)[column] ?? ''))))
  return Papa.unparse({ fields: columns[kind], data: rows }, { newline: '\r\n' })
}

function formulaLines({ additions, combine, ...own }: FormulaRecord): Record<string, unknown>[] {
  const head = { ...own, ...(combine ? { combine: combine.map(({ part, formula }) => `${part}=${formula}`).join('; ') } : {}) }
  const [first, ...rest] = additions
  return [{ ...head, ...first }, ...rest.map((line) => ({ name: own.name, ...line }))]
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
  return kind === 'formulas' ? gather(rows) : rows.map(({ line, record }) => ({ line, record: withoutBlanks(record) }))
}

const withoutBlanks = (record: Flat): Record<string, unknown> =>
  Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined && value !== ''))

/** Lines of one formula follow each other and repeat its name, or leave it blank. */
function gather(rows: { line: number; record: Flat }[]): FileRecord[] {
  const formulas: FileRecord[] = []
  let name = ''
  for (const { line, record } of rows) {
    const cells = withoutBlanks(record)
    if (record.name !== undefined && record.name !== '' && record.name !== name) {
      name = record.name
      const own = Object.fromEntries(
        Object.entries(cells).filter(([key]) => !additionColumns.some((column) => column === key) && key !== 'combine'),
      )
      const combine = record.combine
        ? record.combine.split(';').map((pair) => {
            const [part = '', ...formula] = pair.split('=')
            return { part: part.trim(), formula: formula.join('=').trim() }
          })
        : undefined
      formulas.push({ line, record: { ...own, ...(combine ? { combine } : {}), additions: [] } })
    }
    const addition = Object.fromEntries(additionColumns.flatMap((key) => (cells[key] === undefined ? [] : [[key, cells[key]]])))
    if (Object.keys(addition).length > 0) (formulas.at(-1)?.record.additions as AdditionRecord[] | undefined)?.push(addition as never)
  }
  return formulas
}
