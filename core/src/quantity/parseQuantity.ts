import { DomainError } from '../error'
import { parseNumber, type DecimalSign } from './number'
import { ambiguousUnits, systemOf, temperatureScales, unitExamples, unitSizes, type QuantityKind } from './units'

/** How a field is to be read. */
export interface QuantityReading {
  /** the unit that stands beside the field, taken for a bare number; g, ml or °C where none does */
  bare?: string
  /** the person's decimal sign; without it `1.000` is asked about */
  decimal?: DecimalSign
}

const number = /(?:\d+\s+)?\d+\s*\/\s*\d+|[\d.,]+(?: \d{3}(?!\d))*(?:[.,]\d*)?\s*[½¼¾]?|[½¼¾]/
const defaults = { mass: 'g', volume: 'ml', temperature: '°C' } as const

/**
 * Reads an amount as people write it and returns g, ml, °C or s: '2.5 L' → 2500, '68 °F' → 20, '9:30' → 570, '1 lb 4 oz' → 567.
 * A bare number is in `bare`; a bare time throws `unit-missing`, because 9.5 may be minutes or seconds. Decimal minutes and
 * hours take one digit: '9.30 min' is 9:18 to one and 9:30 to another and throws `number-ambiguous`.
 * Other codes: `unit-ambiguous`, `unit-unknown`, `not-a-number`, `out-of-range`.
 * @example
 * parseQuantity('2.5 L', 'volume') // → 2500
 * parseQuantity('68 °F', 'temperature') // → 20
 * parseQuantity('9:30', 'time') // → 570
 * parseQuantity('1 lb 4 oz', 'mass') // → 566.99
 */
export function parseQuantity(text: string, kind: QuantityKind, { bare, decimal }: QuantityReading = {}): number {
  const clean = text
    .replace(/[\u00a0\u202f\u2009]/g, ' ')
    .replace(/[−–]/g, '-')
    .trim()
  const negative = clean.startsWith('-')
  const body = negative ? clean.slice(1).trim() : clean
  if (!/\d|[½¼¾]/.test(body))
    throw new DomainError('not-a-number', `“${text}” has no number in it. Write something like ${unitExamples[kind]}.`)
  if (kind === 'temperature') return temperature({ text, body, negative, bare: bare ?? defaults.temperature, decimal })
  if (negative) throw new DomainError('out-of-range', `“${text}” is below nothing. Write an amount of at least 0.`)
  if (kind === 'time' && body.includes(':')) return clockTime(text, body)
  return summed(text, body, kind, { bare, decimal })
}

/** '1:02:00' and '9:30'; minutes and seconds behind a colon stay under 60. */
function clockTime(text: string, body: string): number {
  const parts = /^(?:(\d+):)?(\d+):(\d{2}(?:[.,]\d+)?)$/.exec(body)
  if (!parts) throw new DomainError('not-a-number', `“${text}” is not a time. Write it like 9:30 or 1:02:00.`)
  const hours = Number(parts[1] ?? 0)
  const minutes = Number(parts[2])
  const seconds = Number((parts[3] ?? '').replace(',', '.'))
  if (seconds >= 60 || (parts[1] !== undefined && minutes >= 60))
    throw new DomainError('out-of-range', `“${text}” has 60 or more behind a colon. Write it like 9:30 or 1:02:00.`)
  return finite(hours * 3600 + minutes * 60 + seconds, text)
}

/** One or more number-and-unit pairs, such as '9 min 30 s' or '2 lb 3 oz': from larger to smaller units of one system, each once. */
function summed(text: string, body: string, kind: 'mass' | 'volume' | 'time', { bare, decimal }: QuantityReading): number {
  const pairs = [...body.matchAll(new RegExp(`(${number.source})\\s*([^\\d.,½¼¾]*)`, 'gu'))]
  const notAnAmount = () => new DomainError('not-a-number', `“${text}” is not an amount. Write something like ${unitExamples[kind]}.`)
  if (pairs.length === 0 || pairs.map((pair) => pair[0]).join('') !== body) throw notAnAmount()
  let total = 0
  let before: Unit | null = null
  for (const [, amount = '', written = ''] of pairs) {
    const name = unitName(written)
    if (name === '') {
      if (kind === 'time') throw new DomainError('unit-missing', `“${text}” may be minutes or seconds. Write ${unitExamples.time}.`)
      if (pairs.length > 1)
        throw new DomainError('not-a-number', `“${text}” has a number without a unit. Write something like ${unitExamples[kind]}.`)
    }
    const unit = unitOf(name || unitName(bare ?? defaults[kind as 'mass' | 'volume']), kind)
    if (before && (before.system !== unit.system || before.size <= unit.size)) throw notAnAmount()
    total += valueOf(amount, unit, decimal) * unit.size
    before = unit
  }
  return finite(total, text)
}

interface Unit {
  name: string
  size: number
  system: string
}

const unitName = (written: string): string => written.trim().toLowerCase().replace(/\s+/g, ' ').replace(/\.$/, '')

function unitOf(name: string, kind: 'mass' | 'volume' | 'time'): Unit {
  const instead = ambiguousUnits[kind][name]
  if (instead) throw new DomainError('unit-ambiguous', `“${name}” can mean two things. Write ${instead}.`)
  const size = unitSizes[kind][name]
  if (size === undefined)
    throw new DomainError('unit-unknown', `“${name}” is not a unit of ${kind} here. Write something like ${unitExamples[kind]}.`)
  return { name, size, system: systemOf(name, kind) }
}

/** What a scale reads to three digits behind a point. */
const scaleUnits = ['g', 'gram', 'grams', 'oz', 'ounce', 'ounces']

/** Its number; minutes and hours with two decimals are asked about. */
function valueOf(amount: string, { name, size, system }: Unit, decimal?: DecimalSign): number {
  if (system === 'time' && size > 1 && /[.,]\d{2,}$/.test(amount.trim()))
    throw new DomainError(
      'number-ambiguous',
      `“${amount.trim()}” may be minutes and seconds or a decimal. Write it like 9:30, or with one digit such as 9.5 min.`,
    )
  return parseNumber(amount, { decimal, milligrams: scaleUnits.includes(name) })
}

interface TemperatureWritten {
  text: string
  body: string
  negative: boolean
  bare: string
  decimal: DecimalSign | undefined
}

function temperature({ text, body, negative, bare, decimal }: TemperatureWritten): number {
  const parts = new RegExp(`^(${number.source})\\s*(.*)$`, 'u').exec(body)
  if (!parts) throw new DomainError('not-a-number', `“${text}” is not a temperature. Write ${unitExamples.temperature}.`)
  const value = parseNumber(parts[1] ?? '', { decimal }) * (negative ? -1 : 1)
  const bareScale = (written: string) => written.replace(/[°º\s]|degrees?/gi, '').toLowerCase()
  const toCelsius = temperatureScales[bareScale(parts[2] ?? '') || bareScale(bare)]
  if (!toCelsius) throw new DomainError('unit-unknown', `“${parts[2]}” is not a temperature scale. Write ${unitExamples.temperature}.`)
  const celsius = toCelsius(value)
  if (celsius < -273.15) throw new DomainError('out-of-range', `“${text}” is below absolute zero.`)
  return finite(celsius, text)
}

function finite(value: number, text: string): number {
  if (!Number.isFinite(value)) throw new DomainError('out-of-range', `“${text}” is too large.`)
  return value
}
