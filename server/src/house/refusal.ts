import type { Problem } from '@selvrin/core/contract'

/** An answer of 4xx with a sentence that says what to do. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly more: Pick<Problem, 'field' | 'current'> = {},
  ) {
    super(message)
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, 'not-found', `There is no such ${what} any more.`)

/** A change that was based on an older version; `current` is what the thing is now. */
export const stale = (current: unknown): Refusal =>
  new Refusal(409, 'stale', 'Someone changed this while you had it open. Look at both versions and write yours again.', { current })
