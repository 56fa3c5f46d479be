/**
 * A small seeded generator (mulberry32): numbers from 0 up to 1, the same everywhere for the same seed.
 * @example
 * seeded(1)() === seeded(1)() // → true
 */
export function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}
