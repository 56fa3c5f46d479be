/** The only source of the present time; tests and practice runs put their own in. ms since 1970. */
export interface Clock {
  now: () => number
}
export const systemClock: Clock = { now: () => Date.now() }

/** A clock that the parent process may set forward by sending { advanceMs }: how end-to-end tests run a long process fast. Without a parent it is the system's. */
export function clockFromParent(): Clock {
  let aheadMs = 0
  process.on('message', (message: unknown) => {
    const { advanceMs } = (message ?? {}) as { advanceMs?: unknown }
    if (typeof advanceMs === 'number' && advanceMs > 0) aheadMs += advanceMs
  })
  return { now: () => Date.now() + aheadMs }
}
