import { DomainError } from '../error'

const plain = /^\d+(?:[.,]\d+)?$|^[.,]\d+$/

/**
 * A number as people write it: `2.5`, `2,5`, `1/2`, `1 1/2`. A comma before exactly three digits may mean a thousand or a
 * decimal and throws `number-ambiguous`, as do spaced or doubly separated thousands; anything else that is no number throws `not-a-number`.
 */
export function parseNumber(text: string): number {
  const trimmed = text.trim().replace('½', ' 1/2').replace('¼', ' 1/4').replace('¾', ' 3/4').trim()
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(trimmed)
  if (fraction) {
    const below = Number(fraction[3])
    if (below === 0) throw new DomainError('not-a-number', `“${text}” divides by nothing. Write a number, such as 2.5.`)
    return Number(fraction[1] ?? 0) + Number(fraction[2]) / below
  }
  const thousands = /^[1-9]\d{0,2}(,\d{3})+(\.\d*)?$|^[1-9]\d{0,2}(\.\d{3})+,\d*$|^[1-9]\d{0,2}(\.\d{3}){2,}$|^\d{1,3}( \d{3})+$/
  if (thousands.test(trimmed))
    throw new DomainError(
      'number-ambiguous',
      `“${text}” can be read as a thousand or as a decimal. Write it without separators, such as 1000 or 1.0.`,
    )
  if (!plain.test(trimmed)) throw new DomainError('not-a-number', `“${text}” is not a number. Write one such as 2.5.`)
  return Number(trimmed.replace(',', '.'))
}
