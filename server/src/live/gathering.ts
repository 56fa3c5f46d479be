/**
 * Gathers what is told within a moment and hands it over in one go; what is told while that is dealt with waits for the next. An error of `deal` is its own to
 * mend: here it only ends that round. Answers how to tell, and how to end.
 */
export function gathering<T>(momentMs: number, deal: (told: T[]) => Promise<void>): { tell: (one: T) => void; end: () => void } {
  let waiting: T[] = []
  let timer: NodeJS.Timeout | undefined
  let busy = false
  let ended = false
  const wait = (): void => {
    if (busy || timer !== undefined || ended || waiting.length === 0) return
    timer = setTimeout(() => void go(), momentMs)
  }
  async function go(): Promise<void> {
    timer = undefined
    const told = waiting
    waiting = []
    busy = true
    await deal(told).catch(() => undefined)
    busy = false
    wait()
  }
  return {
    tell: (one) => {
      waiting.push(one)
      wait()
    },
    end: () => {
      ended = true
      clearTimeout(timer)
    },
  }
}
