/** Fills of so many bottles of one size for a volume, each full before the next is begun; empty ones are left out. */
export function spread(totalMl: number, count: number, sizeMl: number): number[] {
  const fills: number[] = []
  for (let left = totalMl; fills.length < count && left > 1e-6; left -= sizeMl) fills.push(Math.min(left, sizeMl))
  return fills
}
