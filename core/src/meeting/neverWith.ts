import type { Chemical } from '../chemical/chemical'
import { rows } from './rows'

/**
 * What a chemical never meets, in words, each with what would come of it.
 * @example
 * neverWith(catalogue['sodium-hypochlorite']).length > 0 // → true
 */
export function neverWith(chemical: Chemical): { what: string; danger: string }[] {
  const said = rows.flatMap(({ one, other, said = other, danger }) => [
    ...(one.holds(chemical) ? [{ what: said.words, danger }] : []),
    ...(said.holds(chemical) && other.holds(chemical) ? [{ what: one.words, danger }] : []),
  ])
  return [...new Map(said.map((line) => [line.what, line])).values()]
}
