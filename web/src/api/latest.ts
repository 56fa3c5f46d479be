/** Of several tries at the same thing only the newest counts: whatever was begun before is cancelled. */
export function latest() {
  let newest = new AbortController()
  return {
    /** Cancels what was begun before; the signal says when this one is not wanted any more. */
    begin(): AbortSignal {
      newest.abort()
      newest = new AbortController()
      return newest.signal
    },
    /** Nobody wants an answer any more. */
    end: (): void => newest.abort(),
  }
}
