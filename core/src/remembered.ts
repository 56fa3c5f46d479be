const mostKnown = 1000
const known = new WeakMap<object, Map<string, unknown>>()

/**
 * What a pure function answers, worked out once for the same `depends` (plain values, all that the answer rests on beside `on`): a shelf asks the same of every
 * bottle of a bath. Forgotten with `on`, and when it grows too many.
 *
 * @example
 * const builtIn = {}
 * remembered(builtIn, ['half of', 10], () => 10 / 2) // → 5
 */
export function remembered<T>(on: object, depends: unknown[], answer: () => T): T {
  const answers = known.get(on) ?? new Map<string, unknown>()
  known.set(on, answers)
  const key = JSON.stringify(depends)
  if (answers.has(key)) return answers.get(key) as T
  if (answers.size >= mostKnown) answers.clear()
  const found = answer()
  answers.set(key, found)
  return found
}
