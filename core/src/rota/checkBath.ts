import type { RotaBath, RotaLoad } from './problem'

/** A time in a bath with the temperatures that are right in it, thousandths of °C. */
export interface Stay {
  fromS: number
  toS: number
  low: number
  high: number
}

const thousandths = (c: number): number => Math.round(1000 * c)

/**
 * What a load asks of its bath: one stay from its first to its last step in it; where steps have ranges of their own, one for each of them, with the wait that follows it.
 * `starts` are the starts of its steps, s.
 */
export function staysOf(load: RotaLoad, starts: number[]): Stay[] {
  const { steps, temperatureC, toleranceC } = load
  const inBath = steps.flatMap((step, i) => (step.inBath ? [i] : []))
  const [first, last] = [inBath[0], inBath.at(-1)]
  if (first === undefined || last === undefined) return []
  const end = (i: number): number => (starts[i] ?? 0) + (steps[i]?.s ?? 0)
  const own = { low: thousandths(temperatureC) - thousandths(toleranceC), high: thousandths(temperatureC) + thousandths(toleranceC) }
  if (!steps.some((step) => step.c)) return [{ fromS: starts[first] ?? 0, toS: end(last), ...own }]
  return inBath.map((i) => {
    const c = steps[i]?.c
    // the wait after a step is its own, up to where the next one begins
    const toS = i === last ? end(i) : (starts[i + 1] ?? end(i))
    return { fromS: starts[i] ?? 0, toS, ...(c ? { low: thousandths(c[0]), high: thousandths(c[1]) } : own) }
  })
}

interface Cluster extends Stay {
  stays: number
}

/** Stays that overlap, directly or through others, together; in their order of time. */
export function clustersOf(stays: Stay[]): Cluster[] {
  const clusters: Cluster[] = []
  for (const stay of stays.filter((one) => one.toS > one.fromS).sort((a, b) => a.fromS - b.fromS || a.toS - b.toS)) {
    const open = clusters.at(-1)
    if (open && stay.fromS < open.toS) {
      open.toS = Math.max(open.toS, stay.toS)
      open.low = Math.max(open.low, stay.low)
      open.high = Math.min(open.high, stay.high)
      open.stays++
    } else clusters.push({ ...stay, stays: 1 })
  }
  return clusters
}

/**
 * The moments (s) at which a bath cannot be what its stays ask: a cluster has no temperature that suits all of it, or the bath has not the time to get there. Reckoned in
 * sixtieths of a thousandth of °C, so that a rate times a gap is a whole number.
 */
export function impossibleTemperatures(bath: RotaBath, stays: Stay[], opensS: number): number[] {
  const [heat, cool] = [thousandths(bath.heatCPerMin), thousandths(bath.coolCPerMin)]
  let [low, high, since] = [60 * thousandths(bath.startC), 60 * thousandths(bath.startC), opensS]
  const breaches: number[] = []
  for (const cluster of clustersOf(stays)) {
    const gap = Math.max(0, cluster.fromS - since)
    const [from, to] = [60 * cluster.low, 60 * cluster.high]
    const reached = { low: Math.max(from, low - cool * gap), high: Math.min(to, high + heat * gap) }
    if (reached.low > reached.high) {
      breaches.push(cluster.fromS)
      // one breach is said once: from here on as if it were right
      ;[low, high] = from <= to ? [from, to] : [to, from]
    } else [low, high] = [reached.low, reached.high]
    since = cluster.toS
  }
  return breaches
}
