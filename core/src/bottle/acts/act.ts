import type { FormulaUse } from '../../formula/use'
import type { BathPlace, BottleState, Brought, Container, EntryKind } from '../bottle'
import type { Throughput } from '../throughput'

/** A bottle as an act finds it: its row locked where it is written, as it is shown where it is only looked ahead. */
export interface Acted {
  id: string
  label: string
  name: string
  family: string
  formulaId: string
  sizeMl: number
  parts: number[] | null
  madeAt: number
  retiredAt: number | null
  use: FormulaUse
  state: BottleState
}

/** A line an act writes into a ledger. Changes of ml: what leaves is negative. */
export interface NewLine {
  bottleId: string
  kind: EntryKind
  ml: number
  /** given by who asks, so that it is written but once */
  id?: string
  note?: string
  throughput?: Throughput[]
  waterInMl?: number
  brings?: Brought | null
  otherBottleId?: string
  container?: Container | null
  celsius?: number | null
  twoBath?: BathPlace | null
  reverses?: string
  runId?: string
  step?: number
}

/** A bottle that comes to stand on the shelf, filled. */
export interface NewFilling {
  id: string
  sizeMl: number
  ml: number
  parts: number[] | null
  /** when its liquid was mixed; now where not given */
  madeAt?: number
  brings?: Brought
}

/** All an act writes, together or not at all. */
export interface Decided {
  lines: NewLine[]
  /** lines whose liquid goes to the waste, by their place in `lines`, with the silver it has (g/L) */
  waste?: { line: number; family: string; silverGPerL: number | null; note: string }[]
  retired?: { bottleId: string; why: string }[]
  made?: NewFilling[]
}

/**
 * ml each bottle holds after what was decided, by its id: what a page shows before it is done.
 * @example
 * volumesAfter([acted], decidePour({ bottle: acted }, { entryId: 'e', kind: 'pour-out', ml: 100, rolls: 0, colourRolls: 0, paper: 0, waterInMl: 0, note: '' })) // → { f1: 840 }
 */
export function volumesAfter(bottles: Pick<Acted, 'id' | 'state'>[], { lines }: Decided): Record<string, number> {
  return Object.fromEntries(
    bottles.map(({ id, state }) => [id, lines.reduce((sum, line) => sum + (line.bottleId === id ? line.ml : 0), state.volumeMl)]),
  )
}

/** What a bottle would hold after an act, and what would be written into its ledger for it. ml */
export interface WouldHold {
  bottleId: string
  label: string
  beforeMl: number
  afterMl: number
  lines: { kind: EntryKind; throughput: Throughput[] }[]
}

/**
 * What an act would write, bottle by bottle; bottles it leaves alone are left out.
 * @example
 * wouldHold([acted, { ...acted, id: 'f2', label: 'F2' }], { lines: [{ bottleId: 'f1', kind: 'pour-out', ml: -100 }] }).map((one) => [one.label, one.beforeMl, one.afterMl]) // → [['F1', 940, 840]]
 */
export function wouldHold(bottles: Pick<Acted, 'id' | 'label' | 'state'>[], decided: Decided): WouldHold[] {
  const after = volumesAfter(bottles, decided)
  return bottles.flatMap(({ id, label, state }) => {
    const lines = decided.lines.filter((line) => line.bottleId === id).map(({ kind, throughput = [] }) => ({ kind, throughput }))
    return lines.length === 0 ? [] : [{ bottleId: id, label, beforeMl: state.volumeMl, afterMl: after[id] ?? state.volumeMl, lines }]
  })
}

/**
 * Sentences said one after another; empty ones left out.
 * @example
 * together('into F1', '', 'by hand') // → 'into F1. by hand'
 */
export const together = (...said: string[]): string => said.filter(Boolean).join('. ')
