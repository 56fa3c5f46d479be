const leastMs = 500
const mostMs = 15_000

/** ms before the next try after so many that failed: longer each time, and never the same for two who lost the same thing at once. */
export const pauseMs = (failed: number, random: () => number = Math.random): number =>
  Math.min(mostMs, leastMs * 2 ** failed) * (0.5 + random() / 2)

/**
 * Keeps a connection: dials, and dials again whenever it fails or is lost, with pauses that grow until one holds. `dial` settles when the connection stands, and calls
 * `lost` once it stands no more. Answers a function that ends it.
 */
export function stayConnected(dial: (lost: () => void) => Promise<unknown>): () => void {
  let ended = false
  let failed = 0
  let timer: NodeJS.Timeout | undefined
  const again = (): void => {
    clearTimeout(timer)
    if (!ended) timer = setTimeout(attempt, pauseMs(failed++))
  }
  function attempt(): void {
    if (ended) return
    let over = false
    const lost = (): void => {
      if (over) return
      over = true
      again()
    }
    dial(lost).then(() => void (over || (failed = 0)), lost)
  }
  attempt()
  return () => {
    ended = true
    clearTimeout(timer)
  }
}
