import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'
import { Refusal } from '../house/refusal'

/** guesses' order of magnitude from which a password is taken: 0 and 1 fall to lists of common ones at once */
const least = 2
const estimator = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })

/** Refuses a password that stands on the lists of common ones, repeats itself, runs along the keys, or is made of what everyone knows of its owner. */
export function requireStrong(password: string, known: string[]): void {
  const { score } = estimator.check(
    password,
    known.flatMap((word) => [word, ...word.split(/[\s._@-]+/)]).filter((word) => word.length > 2),
  )
  if (score < least)
    throw new Refusal(
      422,
      'weak-password',
      'That password is among those that are tried first: common, repeated or along the keys. Three unrelated words are better.',
      {
        field: 'password',
      },
    )
}
