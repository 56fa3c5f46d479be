import { DomainError } from '../error'
import { densityFromLuminance, type Area, type AreaLight } from './density'

/** Above this share of pixels at the end of their scale the empty light cannot be trusted. */
const clippedShare = 0.005
/** Beyond this a phone's picture no longer tells densities apart. Rounded literature value. */
const opaqueDensity = 2

interface PatchDensity {
  density: number
  /** standard deviation within the patch, in density */
  spread: number
  /** too dense for a photograph to say more than "opaque" */
  opaque: boolean
}

export interface PictureReading {
  fresh: PatchDensity
  scrap: PatchDensity
  /** base + fog, which the ratio is net of; null where the picture shows none */
  base: PatchDensity | null
  /** scrap over fresh; null where both are opaque */
  ratio: number | null
  /** densities of the wedge steps as the picture shows them, beside what they are */
  wedge: { known: number; seen: number }[]
  /** no wedge: the camera's tone curve is taken as sRGB */
  approximate: boolean
}

export interface Marks {
  empty: Area
  fresh: Area
  scrap: Area
  /** clear film: unexposed, fixed */
  base?: Area | undefined
  /** steps of known density above the same light */
  wedge: { area: Area; density: number }[]
}

/**
 * Densities of the two marked scraps in a photograph over one light box; `lightOf` measures an area of it (areaLight). The areas' mean luminance in linear light gives what is seen; a wedge of
 * known densities corrects it, joined by straight lines between its steps. A clipped empty area throws `clipped`, a black picture `too-dark`.
 * @example
 * pictureDensities(() => ({ mean: 0.5, deviation: 0, clipped: 0, black: 0 }), { empty: { x: 0, y: 0, width: 1, height: 1 }, fresh: { x: 0, y: 0, width: 1, height: 1 }, scrap: { x: 0, y: 0, width: 1, height: 1 }, wedge: [] }).scrap.density // → 0
 */
export function pictureDensities(lightOf: (area: Area) => AreaLight, marks: Marks): PictureReading {
  const empty = lightOf(marks.empty)
  if (empty.clipped > clippedShare)
    throw new DomainError(
      'clipped',
      'The empty light is burnt out in the picture, so nothing can be measured against it. Take a darker one.',
    )
  if (!(empty.mean > 0.02))
    throw new DomainError(
      'too-dark',
      'The empty light is nearly black in the picture. Mark the bare light box, or take a brighter picture.',
    )
  const seen = (light: AreaLight) => densityFromLuminance({ empty: empty.mean, patch: Math.max(light.mean, 1e-6) })
  const wedge = marks.wedge.map((step) => ({ known: step.density, seen: seen(lightOf(step.area)) })).sort((a, b) => a.seen - b.seen)
  if (wedge.some((step, i) => i > 0 && step.known <= (wedge[i - 1]?.known ?? 0)))
    throw new DomainError('wedge-order', 'A wedge step that is denser must look darker. Check the marks and the densities typed for them.')
  const patch = (area: Area): PatchDensity => {
    const light = lightOf(area)
    const raw = seen(light)
    const density = wedge.length >= 2 ? throughWedge(wedge, raw) : raw
    return {
      density,
      spread: light.mean > 0 ? light.deviation / light.mean / Math.LN10 : 0,
      opaque: raw > opaqueDensity || light.black > 0.5,
    }
  }
  const fresh = patch(marks.fresh)
  const scrap = patch(marks.scrap)
  const base = marks.base ? patch(marks.base) : null
  const net = (one: PatchDensity) => Math.max(0, one.density - (base?.density ?? 0))
  return {
    fresh,
    scrap,
    base,
    ratio: fresh.opaque || net(fresh) <= 0.05 ? null : net(scrap) / net(fresh),
    wedge,
    approximate: wedge.length < 2,
  }
}

/** Straight lines between the steps, from density 0 at the empty light; the last pair is continued. */
function throughWedge(steps: { known: number; seen: number }[], raw: number): number {
  const points = (steps[0]?.seen ?? 0) > 1e-6 ? [{ known: 0, seen: 0 }, ...steps] : steps
  const above = points.findIndex((point) => point.seen >= raw)
  const i = Math.min(Math.max(above === -1 ? points.length - 1 : above, 1), points.length - 1)
  const [a, b] = [points[i - 1], points[i]]
  if (!a || !b || b.seen === a.seen) return raw
  return a.known + ((raw - a.seen) * (b.known - a.known)) / (b.seen - a.seen)
}
