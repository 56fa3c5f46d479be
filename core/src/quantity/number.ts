import { DomainError } from '../error'

/** The sign a person writes before the decimals: 2.5 or 2,5. */
export type DecimalSign = 'point' | 'comma'

/** How numbers are to be read. */
export interface NumberReading {
  /** the person's decimal sign: with it nothing about separators is ambiguous */
  decimal?: DecimalSign
  /** a point before three digits is a decimal point, as on a scale that reads to the milligram */
  milligrams?: boolean
}

const grouped = (mark: string, point: string) => new RegExp(`^[1-9]\\d{0,2}(?:\\${mark}\\d{3})+(?:\\${point}\\d*)?$`)
const pointGroups = grouped('.', ',')
const commaGroups = grouped(',', '.')
const spacedGroups = /^[1-9]\d{0,2}(?: \d{3})+(?:[.,]\d*)?$/
const plain = /^\d+(?:[.,]\d+)?$|^[.,]\d+$/

const notANumber = (text: string) => new DomainError('not-a-number', `“${text}” is not a number. Write one such as 2.5.`)

/**
 * A number as people write it: `2.5`, `2,5`, `1/2`, `1 1/2`, `1 000`. With the person's decimal sign `1.000` is one of 1 and
 * 1000; without it a separator before exactly three digits throws `number-ambiguous`, as do two kinds of separators and
 * `11/2`, which is 5.5 or 1 1/2; anything else that is no number throws `not-a-number`.
 * @example
 * parseNumber('2,5') // → 2.5
 * parseNumber('1 1/2') // → 1.5
 */
export function parseNumber(text: string, { decimal, milligrams = false }: NumberReading = {}): number {
  const trimmed = text.trim().replace('½', ' 1/2').replace('¼', ' 1/4').replace('¾', ' 3/4').trim()
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(trimmed)
  if (fraction) return fractionOf(text, fraction)
  if (pointGroups.test(trimmed) || commaGroups.test(trimmed) || spacedGroups.test(trimmed)) {
    const asDecimal = plain.test(trimmed) && milligrams && trimmed.includes('.')
    if (decimal === undefined && !asDecimal)
      throw new DomainError(
        'number-ambiguous',
        `“${text}” can be read as a thousand or as a decimal. Write it without separators, such as 1000 or 1.0.`,
      )
    if (decimal !== undefined) return withSign(text, trimmed, decimal)
  }
  if (!plain.test(trimmed)) throw notANumber(text)
  return Number(trimmed.replace(',', '.'))
}

/** A number with thousands apart, read by the person's decimal sign. */
function withSign(text: string, trimmed: string, decimal: DecimalSign): number {
  const groups = decimal === 'point' ? commaGroups : pointGroups
  const [group, point] = decimal === 'point' ? [',', '.'] : ['.', ',']
  if (groups.test(trimmed)) return Number(trimmed.replaceAll(group, '').replace(point, '.'))
  if (spacedGroups.test(trimmed) && !trimmed.includes(group)) return Number(trimmed.replaceAll(' ', '').replace(point, '.'))
  if (plain.test(trimmed) && trimmed.includes(point)) return Number(trimmed.replace(point, '.'))
  throw notANumber(text)
}

function fractionOf(text: string, [, whole, above = '', below = '']: RegExpExecArray): number {
  if (Number(below) === 0) throw new DomainError('not-a-number', `“${text}” divides by nothing. Write a number, such as 2.5.`)
  if (above.length > 1 && Number(above) > Number(below))
    throw new DomainError(
      'number-ambiguous',
      `“${text}” can be ${above}/${below} or ${above.slice(0, -1)} ${above.slice(-1)}/${below}. Write it as a decimal.`,
    )
  return Number(whole ?? 0) + Number(above) / Number(below)
}
