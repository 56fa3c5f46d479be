const longestLine = 200

/** Cuts what arrives into lines. A line that grows too long is let go while it arrives: nothing of it is kept. */
export function linesOf(take: (line: string) => void): (chunk: string) => void {
  let rest = ''
  let tooLong = false
  return (chunk) => {
    const parts = chunk.split(/\r?\n|\r/)
    parts.forEach((part, i) => {
      const complete = i < parts.length - 1
      if (!tooLong) rest += part.slice(0, longestLine + 1 - rest.length)
      tooLong ||= rest.length > longestLine
      if (!complete) return
      if (!tooLong && rest !== '') take(rest)
      rest = ''
      tooLong = false
    })
    if (tooLong) rest = ''
  }
}
