/** A straight line y = intercept + slope·x through points by least squares, with what an interval needs. */
export interface Fit {
  slope: number
  intercept: number
  n: number
  meanX: number
  /** Σ (x − mean x)² */
  spreadX: number
  /** standard error of a single point about the line; 0 below three points */
  residual: number
}

/**
 * Null below two points or where all lie at one x.
 * @example
 * leastSquares([{ x: 0, y: 1 }, { x: 2, y: 5 }])?.slope // → 2
 */
export function leastSquares(points: { x: number; y: number }[]): Fit | null {
  const n = points.length
  if (n < 2) return null
  const meanX = points.reduce((sum, point) => sum + point.x, 0) / n
  const meanY = points.reduce((sum, point) => sum + point.y, 0) / n
  const spreadX = points.reduce((sum, point) => sum + (point.x - meanX) ** 2, 0)
  if (!(spreadX > 0)) return null
  const slope = points.reduce((sum, point) => sum + (point.x - meanX) * (point.y - meanY), 0) / spreadX
  const intercept = meanY - slope * meanX
  const squares = points.reduce((sum, point) => sum + (point.y - intercept - slope * point.x) ** 2, 0)
  return { slope, intercept, n, meanX, spreadX, residual: n > 2 ? Math.sqrt(squares / (n - 2)) : 0 }
}

/** Student's t that 80 % of readings stay within on both sides (0.90 quantile), by degrees of freedom from 1. Rounded literature values. */
const t90 = [
  3.0777, 1.8856, 1.6377, 1.5332, 1.4759, 1.4398, 1.4149, 1.3968, 1.383, 1.3722, 1.3634, 1.3562, 1.3502, 1.345, 1.3406, 1.3368, 1.3334,
  1.3304, 1.3277, 1.3253, 1.3232, 1.3212, 1.3195, 1.3178, 1.3163, 1.315, 1.3137, 1.3125, 1.3114, 1.3104,
]
const normal90 = 1.281552

/** The 0.90 quantile of Student's t; beyond 30 degrees of freedom by its expansion about the normal one. */
export const studentT80 = (freedom: number): number =>
  t90[freedom - 1] ??
  normal90 + (normal90 ** 3 + normal90) / (4 * freedom) + (5 * normal90 ** 5 + 16 * normal90 ** 3 + 3 * normal90) / (96 * freedom ** 2)

/**
 * Where the two edges of the band in which a new point is expected (t · s · √(1 + 1/n + (x − mean)²/Σ)) meet a level, looking on from `from`: the
 * edge ahead of the line (`from` itself if it is past there), and the one behind it, wherever it is; null where it never does. From
 * (line ± band)² = level², a quadratic in x − mean.
 */
export function bandMeets(fit: Fit, t: number, level: number, from: number): { ahead: number; behind: number | null } {
  const crossing = (level - fit.intercept) / fit.slope
  if (fit.residual < 1e-9) return { ahead: Math.max(from, crossing), behind: crossing }
  const sign = Math.sign(fit.slope)
  const slope = sign * fit.slope
  const below = sign * (fit.intercept + fit.slope * fit.meanX - level)
  const k = (t * fit.residual) ** 2
  const line = (u: number) => below + slope * u
  const band = (u: number) => Math.sqrt(k * (1 + 1 / fit.n + u ** 2 / fit.spreadX))
  const roots = quadratic(slope ** 2 - k / fit.spreadX, 2 * slope * below, below ** 2 - k * (1 + 1 / fit.n)).sort((a, b) => a - b)
  const u = from - fit.meanX
  const ahead = line(u) + band(u) >= 0 ? u : (roots.find((root) => line(root) <= 0 && root >= u) ?? u)
  const behind = roots.find((root) => line(root) >= 0)
  return { ahead: ahead + fit.meanX, behind: behind === undefined ? null : behind + fit.meanX }
}

function quadratic(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-15) return b === 0 ? [] : [-c / b]
  const under = b * b - 4 * a * c
  if (under < 0) return []
  // the numerically stable pair
  const q = -0.5 * (b + (b < 0 ? -1 : 1) * Math.sqrt(under))
  return q === 0 ? [0] : [q / a, c / q]
}
