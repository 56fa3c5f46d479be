import { requireAmounts, requirePositive } from '../../error'

/** A box of paper as it was bought: cm, sheets, and its price; null where nobody wrote it down. */
export interface PaperBox {
  widthCm: number
  heightCm: number
  sheets: number
  price: number | null
}

/**
 * Share of a sheet that a strip takes, cut so many to a sheet; a print takes one.
 * @throws DomainError 'out-of-range'
 * @example
 * stripShare(4) // → 0.25
 */
export function stripShare(toASheet: number): number {
  requirePositive({ 'Strips to a sheet': toASheet })
  return 1 / toASheet
}

/**
 * What so many sheets of a box cost; null where its price is not known.
 * @throws DomainError 'out-of-range'
 * @example
 * paperCost({ widthCm: 20, heightCm: 25, sheets: 25, price: 30 }, 2.25) // → 2.7
 */
export function paperCost(box: PaperBox, sheets: number): number | null {
  requirePositive({ 'The sheets of a box': box.sheets })
  requireAmounts({ 'The sheets that were used': sheets, 'The price': box.price ?? 0 })
  return box.price === null ? null : (box.price / box.sheets) * sheets
}
