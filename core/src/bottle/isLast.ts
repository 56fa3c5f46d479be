/** Share of its life from which on a bottle can be counted on for an evening. House default. */
const enough = 0.35

interface Living {
  formulaId: string
  state: { remaining: number }
}

/**
 * Whether a bottle has little of its life left and no other of its formula could take over: the next one is to be mixed.
 * @example
 * const low = { formulaId: 'a', state: { remaining: 0.2 } }
 * isLast(low, [low]) // → true
 * isLast(low, [low, { formulaId: 'a', state: { remaining: 0.9 } }]) // → false
 */
export function isLast(bottle: Living, all: Living[]): boolean {
  const { remaining } = bottle.state
  return (
    remaining > 0 && remaining < enough && all.every((other) => other.formulaId !== bottle.formulaId || other.state.remaining <= remaining)
  )
}
