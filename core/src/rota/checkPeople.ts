interface Span {
  fromS: number
  toS: number
}

/** Whether a span lies inside one of the spans of duty; those that touch are one. */
export function within(span: Span, duty: Span[]): boolean {
  const joined: Span[] = []
  for (const one of [...duty].sort((a, b) => a.fromS - b.fromS)) {
    const open = joined.at(-1)
    if (open && one.fromS <= open.toS) open.toS = Math.max(open.toS, one.toS)
    else joined.push({ ...one })
  }
  return joined.some((one) => one.fromS <= span.fromS && span.toS <= one.toS)
}

interface Break {
  s: number
  earliestS: number
  latestS: number
}

/** The earliest moment from `fromS` on at which a break has room between what is in hand. */
function earliest({ s, earliestS, latestS }: Break, fromS: number, handsOn: Span[]): number | null {
  let at = Math.max(earliestS, fromS)
  for (const span of handsOn) if (span.toS > span.fromS && span.fromS < at + s && at < span.toS) at = span.toS
  return at <= latestS ? at : null
}

/** Whether every break of a person has room, one after another, in some order of them. */
export function roomForBreaks(breaks: Break[], handsOn: Span[], fromS = -Infinity): boolean {
  const sorted = [...handsOn].sort((a, b) => a.fromS - b.fromS)
  if (breaks.length === 0) return true
  return breaks.some((one, i) => {
    const at = earliest(one, fromS, sorted)
    return at !== null && roomForBreaks(breaks.toSpliced(i, 1), handsOn, at + one.s)
  })
}
