/** A figure as people write it; null where nothing is written, undefined where it is none. */
export function readFigure(text: string): number | null | undefined {
  const plain = text.trim().replace(',', '.')
  if (plain === '') return null
  const value = Number(plain)
  return Number.isFinite(value) ? value : undefined
}
