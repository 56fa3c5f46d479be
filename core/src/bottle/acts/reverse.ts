import { conflict, impossible } from '../../error'
import type { BottleEntry, EntryKind } from '../bottle'
import { standing } from '../bottleState'
import type { NewLine } from './act'

/** A line that is to be taken back. */
export interface Reversed {
  id: string
  bottleId: string
  kind: EntryKind
  ml: number
  /** taken back already, or itself a taking back */
  over: boolean
}

/** The first line that would leave less than nothing behind if those had not been; null where the reversal holds. */
function brokenBy(entries: BottleEntry[], without: Set<string>): BottleEntry | null {
  let held = 0
  for (const entry of standing(entries).filter((one) => !without.has(one.id))) {
    held += entry.ml
    if (held < -1e-6) return entry
  }
  return null
}

/**
 * Refuses a line that is not taken back but done anew.
 * @example
 * requireReversible({ kind: 'move', over: false }) // throws 'not-undone'
 */
export function requireReversible({ kind, over }: Pick<Reversed, 'kind' | 'over'>): void {
  if (over) throw conflict('reversed', 'That line has been taken back already.')
  if (kind === 'move' || kind === 'change' || kind === 'move-up')
    throw impossible('not-undone', 'That is not taken back but done anew: move it, or change how it is used, again.')
}

/**
 * What is written when lines of one or more ledgers are taken back together. `ledgers`: every line of each of those bottles, with its label; `ids`: names of reversing lines
 * that are given; `asked`: the bottle it is asked for from.
 * @throws Refused 'reversed'; 'needed', naming the later line that would have come from nothing
 * @example
 * decideReversing([{ id: 'use', bottleId: 'f1', kind: 'use', ml: -60, over: false }], [{ bottleId: 'f1', label: 'F1', entries: ledger }], { reason: 'wrong bottle' })[0].ml // → 60
 */
export function decideReversing(
  lines: Reversed[],
  ledgers: { bottleId: string; label: string; entries: BottleEntry[] }[],
  { reason, asked, ids = new Map() }: { reason: string; asked?: string | undefined; ids?: Map<string, string> | undefined },
): NewLine[] {
  if (lines.some((line) => line.over)) throw conflict('reversed', 'That line has been taken back already.')
  const mine = new Set(lines.map((line) => line.id))
  for (const { bottleId, label, entries } of ledgers) {
    const broken = brokenBy(entries, mine)
    if (!broken) continue
    const what = `${broken.kind.replace('-', ' ')} of ${Math.abs(broken.ml).toFixed(0)} ml`
    const where = bottleId === asked ? '' : ` in ${label}`
    throw conflict(
      'needed',
      `That line cannot be taken back: the ${what} after it${where} would have come from nothing. Take that one back first.`,
    )
  }
  return lines.map(({ id, bottleId, ml }) => {
    const named = ids.get(id)
    return { ...(named === undefined ? {} : { id: named }), bottleId, kind: 'reverse', ml: -ml, reverses: id, note: reason }
  })
}
