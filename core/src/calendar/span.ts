/** ms of 24 hours. A span, by which things age and sessions end; days of the calendar have 23 to 25 hours, and are counted by the functions of `days.ts`. */
export const dayMs = 86_400_000
