/* Seconds in which a person has something in hand, a bit each. */

/** Marks [from, to). */
export function mark(words: Int32Array, offset: number, from: number, to: number): void {
  for (let s = from; s < to;) {
    const word = s >>> 5
    const bit = s & 31
    const count = Math.min(32 - bit, to - s)
    const bits = count === 32 ? -1 : ((1 << count) - 1) << bit
    words[offset + word] = (words[offset + word] as number) | bits
    s += count
  }
}

/** Takes the mark off [from, to). */
export function unmark(words: Int32Array, offset: number, from: number, to: number): void {
  for (let s = from; s < to;) {
    const word = s >>> 5
    const bit = s & 31
    const count = Math.min(32 - bit, to - s)
    const bits = count === 32 ? -1 : ((1 << count) - 1) << bit
    words[offset + word] = (words[offset + word] as number) & ~bits
    s += count
  }
}

/** The last second of [from, to) that is taken; -1 where none is. */
function lastTaken(words: Int32Array, offset: number, from: number, to: number): number {
  let word = (to - 1) >>> 5
  const first = from >>> 5
  let mask = -1 >>> (31 - ((to - 1) & 31))
  for (; word >= first; word--) {
    if (word === first) mask &= -1 << (from & 31)
    const found = (words[offset + word] as number) & mask
    if (found !== 0) return (word << 5) + 31 - Math.clz32(found)
    mask = -1
  }
  return -1
}

/** The first second from `from` on that is free. */
function nextFree(words: Int32Array, offset: number, from: number): number {
  let word = from >>> 5
  let free = ~(words[offset + word] as number) & (-1 << (from & 31))
  while (free === 0) {
    word++
    free = ~(words[offset + word] as number)
  }
  return (word << 5) + 31 - Math.clz32(free & -free)
}

/** The first second from `from` on that is taken, but for `most` at the most. */
function nextTaken(words: Int32Array, offset: number, from: number, most: number): number {
  let word = from >>> 5
  let taken = (words[offset + word] as number) & (-1 << (from & 31))
  const last = most >>> 5
  while (taken === 0) {
    if (++word > last) return most
    taken = words[offset + word] as number
  }
  return Math.min(most, (word << 5) + 31 - Math.clz32(taken & -taken))
}

/**
 * The first second from `from` on with `length` free ones from it; `latest` + 1 where there is none up to `latest`. For 31 s and more: such a run has an aligned half word that is
 * empty, and only those are looked at.
 */
function freeRun(words: Int32Array, offset: number, length: number, from: number, latest: number): number {
  const end = latest + length
  for (let at = from; at <= latest;) {
    let half = (at + 15) >>> 4
    while (half << 4 < end && ((words[offset + (half >>> 1)] as number) >>> ((half & 1) << 4)) & 0xffff) half++
    const inside = half << 4
    if (inside >= end) return latest + 1
    const before = inside > at ? lastTaken(words, offset, at, inside) : -1
    const start = before < 0 ? at : before + 1
    const until = nextTaken(words, offset, inside, start + length)
    if (until - start >= length) return start
    at = until + 1
  }
  return latest + 1
}

/** From so many seconds on a run of free ones is sought by half words. */
const longS = 31

/**
 * The earliest start from `from` to `latest` at which a block's hands-on intervals meet nothing; -1 where there is none. Moved past whatever it meets, so that no start is
 * looked at that is taken by the same.
 */
export function fit(words: Int32Array, offset: number, hands: Int32Array, from: number, latest: number): number {
  const { length } = hands
  if (length === 0) return from <= latest ? from : -1
  let at = from
  let free = 0
  const longest = (hands[1] as number) - (hands[0] as number)
  for (let i = 0; free < length && at <= latest;) {
    const a = hands[i] as number
    if (i === 0 && longest >= longS) {
      const found = freeRun(words, offset, longest, at + a, latest + a) - a
      if (found > latest) return -1
      // what was looked at before it moved has to be looked at again
      if (found > at) free = 0
      at = found
      free += 2
      i = length === 2 ? 0 : 2
      continue
    }
    const taken = lastTaken(words, offset, at + a, at + (hands[i + 1] as number))
    if (taken >= 0) {
      at = nextFree(words, offset, taken + 1) - a
      free = 0
      continue
    }
    free += 2
    i = i + 2 === length ? 0 : i + 2
  }
  return at <= latest ? at : -1
}
