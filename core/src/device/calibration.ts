import { DomainError } from '../error'

/** How a pH meter reads: read = 7 + slope · (pH − 7) + offset. */
export interface Calibration {
  slope: number
  offset: number
}

/** Electrodes outside this share of the ideal slope are worn or dirty. Rounded literature value. */
const slopeRange = [0.85, 1.05] as const

/**
 * Slope and offset from the readings in two or more buffers, by least squares. Buffers too close together throw `no-data`, a worn electrode `worn-electrode`.
 * @example
 * calibrationOf([{ read: 7.1, buffer: 7 }, { read: 10.1, buffer: 10 }]) // → { slope: 1, offset: 0.1 }
 */
export function calibrationOf(points: { read: number; buffer: number }[]): Calibration {
  const meanX = points.reduce((sum, point) => sum + (point.buffer - 7), 0) / points.length
  const meanY = points.reduce((sum, point) => sum + (point.read - 7), 0) / points.length
  const spread = points.reduce((sum, point) => sum + (point.buffer - 7 - meanX) ** 2, 0)
  if (points.length < 2 || !(spread > 1))
    throw new DomainError('no-data', 'A calibration takes two buffers at least two pH apart, such as 7 and 10.')
  const slope = points.reduce((sum, point) => sum + (point.buffer - 7 - meanX) * (point.read - 7 - meanY), 0) / spread
  if (slope < slopeRange[0] || slope > slopeRange[1])
    throw new DomainError(
      'worn-electrode',
      `The electrode answers with ${Math.round(slope * 100)} % of what it should: fresh buffers, a rinse, or a new electrode. Nothing was changed.`,
    )
  return { slope, offset: meanY - slope * meanX }
}

/**
 * The pH behind a meter's reading.
 * @example
 * calibratedPh(7.1, calibrationOf([{ read: 7.1, buffer: 7 }, { read: 10.1, buffer: 10 }])) // → 7
 */
export const calibratedPh = (read: number, { slope, offset }: Calibration): number => 7 + (read - 7 - offset) / slope

/** Buffers to calibrate with: mol/L are in docs/domain/mixing.md. pH at °C, rounded literature values. */
export const calibrationBuffers = [
  {
    name: 'Phosphate',
    at: [
      [20, 6.88],
      [25, 6.86],
    ],
  },
  {
    name: 'Borax',
    at: [
      [20, 9.23],
      [25, 9.18],
    ],
  },
  {
    name: 'Carbonate',
    at: [
      [20, 10.06],
      [25, 10.01],
    ],
  },
] as const
