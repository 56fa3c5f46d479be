/** A figure as people write it; null where nothing is written, undefined where it is none. */
export function readFigure(text: string): number | null | undefined {
  const plain = text.trim().replace(',', '.').replace('−', '-')
  if (plain === '') return null
  const value = Number(plain)
  return Number.isFinite(value) ? value : undefined
}

/** A size as it is typed, such as 24 × 30.5: its two sides, or null. */
export function readSize(typed: string): { widthCm: number; heightCm: number } | null {
  const sides = typed.split(/[×x*]/i).map(readFigure)
  const [widthCm, heightCm] = sides
  return sides.length === 2 && widthCm && heightCm ? { widthCm, heightCm } : null
}
