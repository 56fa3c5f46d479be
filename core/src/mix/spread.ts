/**
 * Fills of so many bottles of one size for a volume, each full before the next is begun; empty ones are left out.
 * @example
 * spread(1000, 3, 500) // → [500, 500]
 */
export const spread = (totalMl: number, count: number, sizeMl: number): number[] =>
  spreadOver(
    totalMl,
    Array.from({ length: count }, () => sizeMl),
  ).map(({ ml }) => ml)

/**
 * The same over bottles of any sizes, in the order they are filled. Example: 2,500 ml over 1 L, 1 L and two of 500 ml fills the first three, the last is left out.
 * @example
 * spreadOver(750, [500, 500]) // → [{ sizeMl: 500, ml: 500 }, { sizeMl: 500, ml: 250 }]
 */
export function spreadOver(totalMl: number, sizesMl: number[]): { sizeMl: number; ml: number }[] {
  let left = totalMl
  return sizesMl.flatMap((sizeMl) => {
    const ml = Math.min(left, sizeMl)
    left -= ml
    return ml > 1e-6 ? [{ sizeMl, ml }] : []
  })
}
