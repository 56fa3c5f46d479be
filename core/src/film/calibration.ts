import type { CameOut } from './cameOut'

/** What the negatives are printed with: a condenser is harder. */
type Enlarger = 'diffuser' | 'condenser'

/** Net densities of two frames of one grey card: four stops under the meter, and three stops over. */
export interface FilmDensities {
  shadow: number | null
  high: number | null
  by: 'photograph' | 'densitometer'
  enlarger: Enlarger
}

/** Net density four stops under the meter, where the exposure index is right; and three stops over, where the time is, by what it is printed with. Rounded literature values. */
const shadowAim: [number, number] = [0.08, 0.12]
const highAims: Record<Enlarger, [number, number]> = { diffuser: [1.25, 1.35], condenser: [1.15, 1.25] }
/** two readings closer than that are one */
const noise = 1e-9

const against = (density: number, [low, high]: [number, number]): 'under' | 'right' | 'over' =>
  density < low - noise ? 'under' : density > high + noise ? 'over' : 'right'

/** What a film's high density says of its development; null where it was not read. */
const developedByDensity = (read: FilmDensities | null): 'under' | 'right' | 'over' | null =>
  read?.high == null ? null : against(read.high, highAims[read.enlarger])

/**
 * What read densities say of exposure and time, in words.
 * @example
 * densityAdvice({ shadow: 0.04, high: 1.3, by: 'photograph', enlarger: 'diffuser' })[0] // → 'Four stops under stand at 0.04, not near 0.10: a lower exposure index.'
 */
export function densityAdvice(read: FilmDensities | null): string[] {
  if (!read) return []
  const said: string[] = []
  if (read.shadow !== null) {
    const at = against(read.shadow, shadowAim)
    const more = at === 'under' ? 'a lower exposure index' : 'a higher exposure index would do'
    if (at !== 'right') said.push(`Four stops under stand at ${read.shadow.toFixed(2)}, not near 0.10: ${more}.`)
  }
  const developed = developedByDensity(read)
  if (developed !== null && developed !== 'right' && read.high !== null) {
    const [low, high] = highAims[read.enlarger]
    said.push(
      `Three stops over stand at ${read.high.toFixed(2)}, not in ${low.toFixed(2)} to ${high.toFixed(2)} for a ${read.enlarger}: ${developed === 'over' ? 'less' : 'more'} time.`,
    )
  }
  return said
}

/** What a film says of its development: its read density first, then contrast, then density by eye, which is the exposure’s as well; null where nobody has said it. */
export function developedTo({
  densities,
  contrast,
  result,
  faults,
}: Pick<CameOut, 'result' | 'contrast' | 'faults'> & { densities?: FilmDensities | null }): 'under' | 'right' | 'over' | null {
  const read = developedByDensity(densities ?? null)
  if (read !== null) return read
  if (contrast) return contrast === 'flat' ? 'under' : contrast === 'hard' ? 'over' : 'right'
  if (result === null) return null
  if (result === 'thin') return faults.includes('thin-shadows') ? 'right' : 'under'
  return result === 'dense' ? 'over' : 'right'
}
