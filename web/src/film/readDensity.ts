/** A density as it is typed, with a point or a comma: null where nothing stands there, 'wrong' where it is none. */
export function readDensity(text: string): number | null | 'wrong' {
  const typed = text.trim().replace(',', '.')
  if (typed === '') return null
  return /^\d(\.\d+)?$/.test(typed) && Number(typed) <= 4 ? Number(typed) : 'wrong'
}
