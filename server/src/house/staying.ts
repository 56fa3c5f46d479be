import { pauseMs } from '@selvrin/core'

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
    if (!ended) timer = setTimeout(attempt, pauseMs(failed++, Math.random))
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
