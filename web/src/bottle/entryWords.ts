import { countsOf } from '@selvrin/core'
import type { LedgerEntry } from '@selvrin/core/contract'
import { showRolls } from '../marks/words'

const words: Record<LedgerEntry['kind'], string> = {
  fill: 'Filled',
  'dilute-out': 'Taken to dilute',
  'pour-out': 'Poured out',
  'pour-back': 'Poured back',
  use: 'Used',
  'top-up': 'Topped up',
  discard: 'Poured away',
  decant: 'Decanted',
  water: 'Water added',
  evaporate: 'Evaporated',
  replenish: 'Replenished',
  bleed: 'Bled off',
  test: 'Tested',
  move: 'Moved',
  'move-up': 'Moved up',
  change: 'Used otherwise',
  'wrong-bottle': 'Poured into the wrong bottle',
  retire: 'Retired',
  correct: 'Corrected',
  reverse: 'Took back a line',
}

/** A ledger line in a few words: 'Used, 2 rolls'. */
export function entryWords(entry: Pick<LedgerEntry, 'kind' | 'throughput'>): string {
  const { rolls, paper } = countsOf(entry)
  const through = [...(rolls > 0 ? [showRolls(rolls)] : []), ...(paper > 0 ? [`${Math.round(paper)} prints`] : [])]
  return [words[entry.kind], ...through].join(', ')
}
