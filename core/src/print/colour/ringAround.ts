import { requirePositive } from '../../error'
import { casts, castTurns, type Cast, type ColourMaterial } from './casts'
import { paperGamma, type RgbLight } from './photoCast'

// looked up once: these run for every pixel
const { log10, max, min } = Math

/** One picture of a ring-around: the print as it is, with a cast, or with more or less exposure (percent). */
export type RingPlace = { of: 'centre' } | { of: 'cast'; cast: Cast; units: number } | { of: 'exposure'; percent: number }

/** units of the three rings */
export const ringUnits = [10, 20, 30] as const
const ringPercents = [-20, -10, 10, 20] as const

/**
 * The pictures of a ring-around: the centre, six casts in three amounts each, and a tenth and a fifth more and less of exposure.
 * @example
 * ringAround().length // → 23
 */
export function ringAround(): RingPlace[] {
  return [
    { of: 'centre' },
    ...casts.flatMap((cast) => ringUnits.map((units): RingPlace => ({ of: 'cast', cast, units }))),
    ...ringPercents.map((percent): RingPlace => ({ of: 'exposure', percent })),
  ]
}

/** How much denser the layers of a print become, by the light they hold back. */
export interface LayerShift {
  r: number
  g: number
  b: number
}

/**
 * How a print's layers differ that was filtered by so many units too little of yellow and magenta (it wants them turned up), and exposed by a factor too much: on paper for negatives it
 * is yellow, magenta and dark then. The densities are those of the middle tones.
 * @throws DomainError 'out-of-range'
 * @example
 * layersOf({ lacks: { y: 10, m: 0 }, factor: 1, material: 'negative' }) // → { r: 0, g: 0, b: 0.25 }
 */
export function layersOf({
  lacks,
  factor,
  material,
  gamma = paperGamma,
}: {
  lacks: { y: number; m: number }
  factor: number
  material: ColourMaterial
  gamma?: number
}): LayerShift {
  requirePositive({ 'The factor of the exposure': factor, 'The slope of the paper': gamma })
  const way = material === 'negative' ? gamma : -gamma
  const all = way * log10(factor)
  // without −0
  return { r: all || 0, g: all + (way * lacks.m) / 100 || 0, b: all + (way * lacks.y) / 100 || 0 }
}

/**
 * How the layers of one picture of a ring differ from those of its centre.
 * @example
 * ringLayers({ of: 'cast', cast: 'yellow', units: 10 }, 'negative') // → { r: 0, g: 0, b: 0.25 }
 */
export function ringLayers(place: RingPlace, material: ColourMaterial): LayerShift {
  if (place.of === 'centre') return { r: 0, g: 0, b: 0 }
  if (place.of === 'exposure') return layersOf({ lacks: { y: 0, m: 0 }, factor: 1 + place.percent / 100, material })
  return layersOf({ lacks: castTurns(place.cast, place.units, material), factor: 1, material })
}

/** densities between which a layer moves freely; paper white and the deepest black move less and less */
const free = { from: 0.25, to: 1.6, white: 0.05, black: 2.3 }
/** Share by which a density moves: paper stays white, and black is not blacker than it can be. */
function loose(density: number): number {
  if (density < free.from) return max(0, (density - free.white) / (free.from - free.white))
  if (density > free.to) return max(0, (free.black - density) / (free.black - free.to))
  return 1
}

/**
 * Linear light (0 to 1 of paper white) of one place of a print when its layers shift: middle tones by all of it, whites and blacks hardly.
 * @example
 * shifted({ r: 0.2, g: 0.2, b: 0.2 }, { r: 0, g: 0, b: 0.3 }).b // → 0.10024
 */
export function shifted(light: RgbLight, by: LayerShift): RgbLight {
  const one = (linear: number, more: number): number => {
    if (more === 0) return linear
    const density = -log10(max(linear, 0.002))
    return 10 ** -max(min(density, free.white), density + more * loose(density))
  }
  return { r: one(light.r, by.r), g: one(light.g, by.g), b: one(light.b, by.b) }
}
