/**
 * Share of the first part, the stock or concentrate, in what was diluted with those parts; 1 for stock (null).
 *
 * @example
 * shareOf([1, 4]) // → 0.2
 */
export const shareOf = (parts: number[] | null): number =>
  parts === null ? 1 : (parts[0] ?? 1) / parts.reduce((sum, part) => sum + part, 0)
