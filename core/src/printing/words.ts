/**
 * Minutes as they are said.
 * @example
 * [30, 60, 150].map(spanWords) // → ['30 min', '1 h', '2 h 30 min']
 */
export function spanWords(minutes: number): string {
  const [hours, rest] = [Math.floor(minutes / 60), Math.round(minutes % 60)]
  return [hours > 0 ? `${hours} h` : '', rest > 0 || hours === 0 ? `${rest} min` : ''].filter(Boolean).join(' ')
}
