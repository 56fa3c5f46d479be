/** Work that is done by whichever server process is free, once asked for. */
export type JobName = 'weeks'

/** How work is asked for: in the transaction it is asked from, so that it is there exactly where the rest is. */
export interface Jobs {
  ask: (name: JobName, more?: { /** s that may pass for more to come */ inS?: number }) => Promise<void>
}
