import type { Bath } from './shape'

/** A stay as it is placed, thousandths of °C. */
export interface PlacedStay {
  fromS: number
  toS: number
  low: number
  high: number
}

const byStart = (a: PlacedStay, b: PlacedStay): number => a.fromS - b.fromS || a.toS - b.toS

/**
 * Whether a bath can be what its stays ask: -1 where it can, else by how many seconds at the least the new ones, which begin at `sinceS`, have to come later. Reckoned in
 * sixtieths of a thousandth of °C.
 */
export function laterBy(bath: Bath, opensS: number, there: PlacedStay[], more: PlacedStay[]): number {
  const sinceS = (more[0] as PlacedStay).fromS
  const untilS = (more.at(-1) as PlacedStay).toS
  const stays = [...there, ...more].filter((stay) => stay.toS > stay.fromS).sort(byStart)
  let [low, high, since] = [60 * bath.start, 60 * bath.start, opensS]
  for (let i = 0; i < stays.length;) {
    const first = stays[i] as PlacedStay
    let { toS, low: clusterLow, high: clusterHigh } = first
    let next = i + 1
    for (; next < stays.length && (stays[next] as PlacedStay).fromS < toS; next++) {
      const one = stays[next] as PlacedStay
      toS = Math.max(toS, one.toS)
      clusterLow = Math.max(clusterLow, one.low)
      clusterHigh = Math.min(clusterHigh, one.high)
    }
    const gap = Math.max(0, first.fromS - since)
    const [from, to] = [60 * clusterLow, 60 * clusterHigh]
    const [cooled, heated] = [low - bath.cool * gap, high + bath.heat * gap]
    if (clusterLow > clusterHigh) return Math.max(1, endBeyond(there, sinceS, untilS) - sinceS)
    if (Math.max(from, cooled) > Math.min(to, heated)) {
      // what is asked by the new ones alone can wait for the bath; else they come after what is there
      if (more.some((one) => one.fromS === first.fromS) && !there.some((one) => one.fromS >= first.fromS && one.fromS < toS)) {
        const [rate, lacks] = heated < from ? [bath.heat, from - heated] : [bath.cool, cooled - to]
        if (rate <= 0) return Infinity
        return Math.ceil(lacks / rate)
      }
      const beyond = endBeyond(there, sinceS, untilS)
      return beyond > sinceS ? beyond - sinceS : nextEnd(there, sinceS) - sinceS
    }
    low = Math.max(from, cooled)
    high = Math.min(to, heated)
    // what stood in it before opening gives it no time: so the plan is right however that is read
    since = Math.max(since, toS)
    i = next
  }
  return -1
}

/** The earliest end of what overlaps [from, to). */
function endBeyond(there: PlacedStay[], from: number, to: number): number {
  let end = Infinity
  for (const one of there) if (one.fromS < to && one.toS > from) end = Math.min(end, one.toS)
  return end === Infinity ? from : end
}
/** The earliest end after a moment; never, where there is none. */
function nextEnd(there: PlacedStay[], from: number): number {
  let end = Infinity
  for (const one of there) if (one.toS > from) end = Math.min(end, one.toS)
  return end
}

/** By how many seconds [from, to) has to come later for a place to be free in it; 0 where one is. */
export function placeIn(places: number, there: { fromS: number; toS: number }[], from: number, to: number): number {
  if (to <= from) return 0
  const over = there.filter((one) => one.fromS < to && one.toS > from && one.toS > one.fromS)
  if (over.length < places) return 0
  // most are there at one of their beginnings, or at one’s own
  const moments = [from, ...over.map((one) => one.fromS).filter((at) => at > from)]
  for (const at of moments) {
    const now = over.filter((one) => one.fromS <= at && one.toS > at)
    if (now.length >= places) return places === 0 ? Infinity : Math.min(...now.map((one) => one.toS)) - from
  }
  return 0
}
