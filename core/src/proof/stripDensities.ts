import { DomainError } from '../error'
import { densityFromLuminance, type Area, type AreaLight } from './density'

/** Above this share of pixels at the end of their scale the paper's white cannot be trusted. */
const clippedShare = 0.005
/** density by which a band may seem lighter than the one before it: grain of the picture, glare */
const unsure = 0.05
/** share of a band's length that is read: its edges run into the next */
const innerShare = 0.6

/**
 * Densities of the bands of a strip on paper above the paper's white, the lightest first, off a photograph; `lightOf` measures an area of it (areaLight, areas in pixels). The strip is
 * marked as a whole and divided evenly along its longer side, whichever end is the lighter. Approximate: the camera's tone curve is taken as sRGB, and gloss lightens blacks.
 * @throws DomainError 'clipped', 'too-dark', 'no-strip' where the bands do not darken one after another
 * @example
 * stripDensities((area) => ({ mean: area.x < 5 ? 0.5 : 0.05, deviation: 0, clipped: 0, black: 0 }), { paper: { x: 0, y: 0, width: 2, height: 2 }, strip: { x: 0, y: 4, width: 10, height: 2 }, bands: 2 }) // → [0, 1]
 */
export function stripDensities(
  lightOf: (area: Area) => AreaLight,
  { paper, strip, bands }: { paper: Area; strip: Area; bands: number },
): number[] {
  const white = lightOf(paper)
  if (white.clipped > clippedShare)
    throw new DomainError(
      'clipped',
      'The paper’s white is burnt out in the picture, so nothing can be measured against it. Take a darker one.',
    )
  if (!(white.mean > 0.02))
    throw new DomainError('too-dark', 'The paper’s white is nearly black in the picture. Mark the bare border, or take a brighter picture.')
  const along = strip.width >= strip.height
  const length = (along ? strip.width : strip.height) / bands
  const bandOf = (i: number): Area => {
    const from = (i + (1 - innerShare) / 2) * length
    const [inner, across] = [innerShare * length, (1 - innerShare) / 2]
    return along
      ? { x: strip.x + from, y: strip.y + across * strip.height, width: inner, height: innerShare * strip.height }
      : { x: strip.x + across * strip.width, y: strip.y + from, width: innerShare * strip.width, height: inner }
  }
  const seen = Array.from({ length: bands }, (_, i) => {
    const { mean } = lightOf(bandOf(i))
    return densityFromLuminance({ empty: white.mean, patch: Math.max(mean, 1e-6) })
  })
  const densities = (seen[0] ?? 0) > (seen.at(-1) ?? 0) ? seen.reverse() : seen
  if (densities.some((one, i) => i > 0 && one < (densities[i - 1] ?? 0) - unsure))
    throw new DomainError('no-strip', 'The bands do not darken one after another. Mark the strip alone, all its bands and nothing else.')
  return densities
}
