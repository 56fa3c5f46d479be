import type { RotaLoad, RotaPlan, RotaProblem } from './problem'

/** A load as a bound sees it, s. */
interface Item {
  load: RotaLoad
  /** it cannot begin before */
  r: number
  d: number
  hands: number
  /** free time before its first, after its last hands-on */
  head: number
  tail: number
  /** before, in and after its bath; null where it has none */
  bath: { pre: number; stay: number; post: number } | null
  vessels: number[]
}

const sum = (list: number[]): number => list.reduce((all, one) => all + one, 0)

function itemOf(problem: RotaProblem, load: RotaLoad): Item {
  const pin = problem.pinned?.find((one) => one.load === load.id)
  let at = 0
  const spans: [number, number][] = []
  const starts = load.steps.map((step) => {
    for (const [a, b] of step.handsOn) if (b > a) spans.push([at + a, at + b])
    at += step.s
    return at - step.s
  })
  const inBath = load.steps.flatMap((step, i) => (step.inBath ? [i] : []))
  const [first, last] = [inBath[0], inBath.at(-1)]
  const from = first === undefined ? 0 : (starts[first] ?? 0)
  const to = last === undefined ? 0 : (starts[last] ?? 0) + (load.steps[last]?.s ?? 0)
  return {
    ...{ load, r: pin ? pin.startS : Math.max(load.readyS, problem.opensS), d: at },
    ...{ hands: sum(spans.map(([a, b]) => b - a)), head: Math.min(at, ...spans.map(([a]) => a)) },
    tail: at - Math.max(0, ...spans.map(([, b]) => b)),
    bath: first === undefined ? null : { pre: from, stay: to - from, post: at - to },
    vessels: problem.vessels.flatMap((vessel, i) => (vessel.kinds.includes(load.kind) && vessel.rolls >= load.rolls ? [i] : [])),
  }
}

/** For every pair of thresholds the work of what begins no earlier and has no less after it, shared out: none of it can be over sooner. */
function shared(items: { from: number; work: number; after: number }[], servers: number): number {
  let best = -Infinity
  const sorted = items.filter((one) => one.work > 0).sort((a, b) => b.from - a.from)
  for (const z of new Set(sorted.map((one) => one.after))) {
    let work = 0
    for (const one of sorted) {
      if (one.after < z) continue
      work += one.work
      best = Math.max(best, one.from + Math.ceil(work / servers) + z)
    }
  }
  return best
}

function ofVessels(problem: RotaProblem, items: Item[]): number {
  let best = -Infinity
  const sets = new Map(items.map((item) => [item.vessels.join(), item.vessels]))
  sets.set(
    'all',
    problem.vessels.map((_, i) => i),
  )
  for (const set of sets.values()) {
    if (set.length === 0) continue
    const reset = Math.min(...set.map((i) => problem.vessels[i]?.resetS ?? 0))
    const only = items.filter((item) => item.vessels.every((i) => set.includes(i)))
    best = Math.max(
      best,
      shared(
        only.map((item) => ({ from: item.r, work: item.d + reset, after: 0 })),
        set.length,
      ) - reset,
    )
  }
  return best
}

const thousandths = (c: number): number => Math.round(1000 * c)

/** One bath that has to go from temperature to temperature, since none suits two of them. */
function ofOneBath(problem: RotaProblem, items: Item[]): number {
  const [bath] = problem.baths
  if (problem.baths.length !== 1 || !bath) return -Infinity
  // what stood in it before opening may have given it time
  if ((problem.pinned ?? []).some((pin) => pin.startS < problem.opensS)) return -Infinity
  const asked = items
    .filter(({ load, bath: stay }) => stay && stay.stay > 0 && !load.steps.some((step) => step.c))
    .map(({ load, bath: stay }) => {
      const [mid, tolerance] = [thousandths(load.temperatureC), thousandths(load.toleranceC)]
      return { low: mid - tolerance, high: mid + tolerance, stay: stay?.stay ?? 0, post: stay?.post ?? 0 }
    })
    .sort((a, b) => a.high - b.high || b.stay - a.stay)
  const apart: typeof asked = []
  for (const one of asked) if (apart.length === 0 || one.low > (apart.at(-1)?.high ?? 0)) apart.push(one)
  if (apart.length === 0) return -Infinity
  const [start, heat, cool] = [thousandths(bath.startC), thousandths(bath.heatCPerMin), thousandths(bath.coolCPerMin)]
  const lowest = Math.min(...apart.map((one) => one.high))
  const highest = Math.max(...apart.map((one) => one.low))
  const time = (thousandthsOfC: number, rate: number): number =>
    thousandthsOfC <= 0 ? 0 : rate > 0 ? (60 * thousandthsOfC) / rate : Infinity
  const down = Math.min(start, lowest)
  const up = Math.max(start, highest)
  const sweep = Math.min(time(start - down, cool) + time(highest - down, heat), time(up - start, heat) + time(up - lowest, cool))
  return problem.opensS + Math.floor(sweep) + sum(apart.map((one) => one.stay)) + Math.min(...apart.map((one) => one.post))
}

/** No plan of all these loads ends before. */
function endOf(problem: RotaProblem, items: Item[]): number {
  if (items.length === 0) return problem.opensS
  const places = sum(problem.baths.map((bath) => bath.places))
  return Math.max(
    ...items.map(({ r, d }) => r + d),
    shared(
      items.map(({ r, head, hands, tail }) => ({ from: r + head, work: hands, after: tail })),
      problem.hands,
    ),
    ofVessels(problem, items),
    places > 0
      ? shared(
          items.flatMap(({ r, bath }) => (bath ? [{ from: r + bath.pre, work: bath.stay, after: bath.post }] : [])),
          places,
        )
      : -Infinity,
    ofOneBath(problem, items),
  )
}

/** How late such loads are at the least, weighted: each by itself, or those due first together. */
function lateOf(problem: RotaProblem, items: Item[]): number {
  const alone = sum(items.map(({ load, r, d }) => load.weight * Math.max(0, r + d - load.dueS)))
  const dues = [...new Set(items.map(({ load }) => load.dueS))].sort((a, b) => a - b)
  const together = dues.map((due) => {
    const set = items.filter(({ load }) => load.dueS <= due)
    return Math.min(...set.map(({ load }) => load.weight)) * Math.max(0, endOf(problem, set) - due)
  })
  return Math.max(alone, ...together, 0)
}

/** What no plan that places these loads can be below. */
export function boundOf(problem: RotaProblem, placed: RotaLoad[]): RotaPlan['bound'] {
  const items = placed.map((load) => itemOf(problem, load))
  return { lateS: lateOf(problem, items), endS: endOf(problem, items) }
}
