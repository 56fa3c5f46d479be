import fc from 'fast-check'
import { fit, mark } from './busy'

/** The same, second by second. */
function slow(taken: boolean[], hands: number[], from: number, latest: number): number {
  for (let at = from; at <= latest; at++) {
    let free = true
    for (let i = 0; i < hands.length && free; i += 2)
      for (let s = hands[i]!; s < hands[i + 1]! && free; s++) if (taken[at + s]) free = false
    if (free) return at
  }
  return -1
}

test('the earliest start that meets nothing is what looking at every second finds', () => {
  const span = (most: number, longest: number) => fc.tuple(fc.nat(most), fc.integer({ min: 1, max: longest }))
  fc.assert(
    fc.property(
      fc.array(span(700, 40), { maxLength: 30 }),
      fc.array(span(60, 90), { minLength: 1, maxLength: 5 }),
      fc.nat(200),
      fc.nat(500),
      (busy, asked, from, more) => {
        const words = new Int32Array(64)
        const taken = Array<boolean>(2048).fill(false)
        for (const [at, s] of busy) {
          mark(words, 8, at, at + s)
          taken.fill(true, at, at + s)
        }
        let since = 0
        const hands = asked.flatMap(([gap, s]) => [since + gap, (since += gap + s)])
        const longestFirst = asked
          .map((_, i) => [hands[2 * i]!, hands[2 * i + 1]!])
          .sort((a, b) => b[1]! - b[0]! - (a[1]! - a[0]!))
          .flat()
        expect(fit(words, 8, Int32Array.from(longestFirst), from, from + more)).toBe(slow(taken, hands, from, from + more))
      },
    ),
    { numRuns: 2000 },
  )
})
