/**
 * The page's only source of time: ms since 1970 as the server has it, running on the monotonic clock so that a corrected wall clock does not jump a run.
 * A sleep of the machine, which may stop the monotonic clock, is caught up from the wall clock.
 */
const slackMs = 4000
let wallAtAnchor = Date.now()
let steadyAtAnchor = performance.now()
let aheadMs = 0

export function now(): number {
  const steady = wallAtAnchor + (performance.now() - steadyAtAnchor)
  const wall = Date.now()
  if (wall - steady > slackMs) {
    wallAtAnchor = wall
    steadyAtAnchor = performance.now()
    return wall + aheadMs
  }
  return steady + aheadMs
}

/** Sets the page's clock by the server's, so that two devices at one run agree. */
export const setByServer = (serverNow: number): void => {
  aheadMs += serverNow - now()
}
