/** The only source of the present time; tests and practice runs put their own in. ms since 1970. */
export interface Clock {
  now: () => number
}
export const systemClock: Clock = { now: () => Date.now() }
