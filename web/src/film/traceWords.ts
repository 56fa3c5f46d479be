import type { TracedBath, TracedFilm } from '@selvrin/core/contract'

/** Whether something is wrong with a film: seen on it, or said by a failed test. */
export const wrongWith = ({ faults, inDoubt }: Pick<TracedFilm, 'faults' | 'inDoubt'>): boolean => inDoubt || faults.length > 0

/** '2 of 9 films have something wrong.' */
export function failedWords(films: Pick<TracedFilm, 'faults' | 'inDoubt'>[]): string {
  const wrong = films.filter(wrongWith).length
  const [all, have] = [films.length === 1 ? 'film' : 'films', wrong === 1 ? 'has' : 'have']
  return wrong === 0
    ? `Nothing wrong with ${films.length === 1 ? 'its one film' : `its ${films.length} films`}.`
    : `${wrong} of ${films.length} ${all} ${have} something wrong.`
}

/** Of a bath's tests (newest first) the last before a time and the first after it; of a bath alone its newest three. */
export function besideOf(tests: TracedBath['tests'], at: number | null): TracedBath['tests'] {
  if (at === null) return tests.slice(0, 3)
  const before = tests.filter((test) => test.at <= at).slice(0, 1)
  return [...before, ...tests.filter((test) => test.at > at).slice(-1)]
}
