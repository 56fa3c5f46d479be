import { DomainError } from '../error'
import { parseNumber } from './number'
import { ambiguousUnits, temperatureScales, unitExamples, unitSizes, type QuantityKind } from './units'

const number = /(?:\d+\s+)?\d+\s*\/\s*\d+|[\d.,]+(?: \d{3})*\s*[½¼¾]?|[½¼¾]/

/**
 * Reads an amount as people write it and returns g, ml, °C or s: '2.5 L' → 2500, '68 °F' → 20, '9:30' → 570.
 * A bare number is g, ml or °C; a bare time throws `unit-missing`, because 9.5 may be minutes or seconds.
 * Other codes: `number-ambiguous`, `unit-ambiguous`, `unit-unknown`, `not-a-number`, `out-of-range`.
 */
export function parseQuantity(text: string, kind: QuantityKind): number {
  const clean = text
    .replace(/[\u00a0\u202f]/g, ' ')
    .replace(/[−–]/g, '-')
    .trim()
  const negative = clean.startsWith('-')
  const body = negative ? clean.slice(1).trim() : clean
  if (!/\d|[½¼¾]/.test(body))
    throw new DomainError('not-a-number', `“${text}” has no number in it. Write something like ${unitExamples[kind]}.`)
  if (kind === 'temperature') return temperature(text, body, negative)
  if (negative) throw new DomainError('out-of-range', `“${text}” is below nothing. Write an amount of at least 0.`)
  if (kind === 'time' && body.includes(':')) return clockTime(text, body)
  return summed(text, body, kind)
}

/** '1:02:00' and '9:30'; minutes and seconds behind a colon stay under 60. */
function clockTime(text: string, body: string): number {
  const parts = /^(?:(\d+):)?(\d+):(\d{2}(?:[.,]\d+)?)$/.exec(body)
  if (!parts) throw new DomainError('not-a-number', `“${text}” is not a time. Write it like 9:30 or 1:02:00.`)
  const hours = Number(parts[1] ?? 0)
  const minutes = Number(parts[2])
  const seconds = parseNumber(parts[3] ?? '')
  if (seconds >= 60 || (parts[1] !== undefined && minutes >= 60))
    throw new DomainError('out-of-range', `“${text}” has 60 or more behind a colon. Write it like 9:30 or 1:02:00.`)
  return hours * 3600 + minutes * 60 + seconds
}

/** One or more number-and-unit pairs, such as '9 min 30 s' or '2 lb 3 oz'. */
function summed(text: string, body: string, kind: 'mass' | 'volume' | 'time'): number {
  const pairs = [...body.matchAll(new RegExp(`(${number.source})\\s*([^\\d.,½¼¾]*)`, 'gu'))]
  if (pairs.length === 0 || pairs.map((pair) => pair[0]).join('') !== body)
    throw new DomainError('not-a-number', `“${text}” is not an amount. Write something like ${unitExamples[kind]}.`)
  let total = 0
  for (const [, amount, unit] of pairs) {
    const value = parseNumber(amount ?? '')
    const name = (unit ?? '').trim().toLowerCase().replace(/\s+/g, ' ').replace(/\.$/, '')
    if (name === '') {
      if (kind === 'time') throw new DomainError('unit-missing', `“${text}” may be minutes or seconds. Write ${unitExamples.time}.`)
      if (pairs.length > 1)
        throw new DomainError('not-a-number', `“${text}” has a number without a unit. Write something like ${unitExamples[kind]}.`)
      return finite(value, text)
    }
    total += value * unitSize(name, kind)
  }
  return finite(total, text)
}

function unitSize(name: string, kind: 'mass' | 'volume' | 'time'): number {
  const instead = ambiguousUnits[kind][name]
  if (instead) throw new DomainError('unit-ambiguous', `“${name}” can mean two things. Write ${instead}.`)
  const size = unitSizes[kind][name]
  if (size === undefined)
    throw new DomainError('unit-unknown', `“${name}” is not a unit of ${kind} here. Write something like ${unitExamples[kind]}.`)
  return size
}

function temperature(text: string, body: string, negative: boolean): number {
  const parts = new RegExp(`^(${number.source})\\s*(.*)$`, 'u').exec(body)
  if (!parts) throw new DomainError('not-a-number', `“${text}” is not a temperature. Write ${unitExamples.temperature}.`)
  const value = parseNumber(parts[1] ?? '') * (negative ? -1 : 1)
  const scale = (parts[2] ?? '').replace(/[°º\s]/g, '').toLowerCase() || 'c'
  const toCelsius = temperatureScales[scale]
  if (!toCelsius) throw new DomainError('unit-unknown', `“${parts[2]}” is not a temperature scale. Write ${unitExamples.temperature}.`)
  const celsius = toCelsius(value)
  if (celsius < -273.15) throw new DomainError('out-of-range', `“${text}” is below absolute zero.`)
  return finite(celsius, text)
}

function finite(value: number, text: string): number {
  if (!Number.isFinite(value)) throw new DomainError('out-of-range', `“${text}” is too large.`)
  return value
}
