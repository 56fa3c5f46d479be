import { DomainError } from '@selvrin/core'

/**
 * A whole number as it is typed.
 * @throws DomainError 'not-a-number'
 */
export function readWhole(text: string): number {
  if (!/^\d{1,6}$/.test(text.trim())) throw new DomainError('not-a-number', 'Write a whole number.')
  return Number(text.trim())
}
