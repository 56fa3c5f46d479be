import { conflict } from '../../error'
import type { Acted, Decided, NewLine } from './act'

/**
 * What is written when a bottle is taken out of use; with `discard` what it holds goes to the waste.
 * @throws Refused 'stale' where it is retired already
 * @example
 * decideRetiring(acted, { why: 'spent', discard: true }).lines.map((line) => line.kind) // → ['retire', 'discard']
 */
export function decideRetiring(bottle: Acted, { why, discard = false }: { why: string; discard?: boolean }): Decided {
  if (bottle.retiredAt !== null)
    throw conflict('stale', 'Someone changed this while you had it open. Look at both versions and write yours again.', { current: bottle })
  const { id: bottleId, family, state } = bottle
  const retire: NewLine = { bottleId, kind: 'retire', ml: 0, note: why }
  const retired = [{ bottleId, why }]
  if (!discard || state.volumeMl <= 0) return { lines: [retire], retired }
  return {
    lines: [retire, { bottleId, kind: 'discard', ml: -state.volumeMl }],
    waste: [{ line: 1, family, silverGPerL: state.silverGPerL, note: why }],
    retired,
  }
}

/** What is decided, one after another, as one. */
export const asOne = (...decided: Decided[]): Decided =>
  decided.reduce((all, one) => ({
    lines: [...all.lines, ...one.lines],
    waste: [...(all.waste ?? []), ...(one.waste ?? []).map((waste) => ({ ...waste, line: waste.line + all.lines.length }))],
    retired: [...(all.retired ?? []), ...(one.retired ?? [])],
    made: [...(all.made ?? []), ...(one.made ?? [])],
  }))
