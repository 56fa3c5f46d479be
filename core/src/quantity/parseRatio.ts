import { DomainError } from '../error'
import { parseNumber } from './number'

/**
 * Reads a dilution: '1+4' → parts [1, 4]. A colon is written both for 1+4 and for one in four, so any ':' marks the result ambiguous
 * and the asker must choose. Fewer than two parts, or a part of 0 or less, throws `not-a-ratio`.
 * @example
 * parseRatio('1+4') // → { parts: [1, 4], ambiguous: false }
 * parseRatio('1:4').ambiguous // → true
 */
export function parseRatio(text: string): { parts: number[]; ambiguous: boolean } {
  const pieces = text.split(/[+:]/)
  const wrong = () => new DomainError('not-a-ratio', `“${text}” is not a dilution. Write one part plus the rest, such as 1+4 or 1+1+10.`)
  if (pieces.length < 2) throw wrong()
  const parts = pieces.map((piece) => {
    try {
      return parseNumber(piece)
    } catch {
      throw wrong()
    }
  })
  if (parts.some((part) => !Number.isFinite(part) || part <= 0)) throw wrong()
  return { parts, ambiguous: text.includes(':') }
}
