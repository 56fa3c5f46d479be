import type { WasteFamily } from './drumIds'

/** What comes of two families that never meet: by its number in the table of the domain page. */
export interface Reaction {
  /** what it is, in words */
  what: string
  /** what it does to people */
  danger: string
  /** ppm in air that is immediately dangerous to life; null where it is no gas, or nobody has a figure. Rounded literature values. */
  idlhPpm: number | null
}

const row = (what: string, danger: string, idlhPpm: number | null = null): Reaction => ({ what, danger, idlhPpm })

/** The reactions of the table, from its first row on. */
export const reactions: Reaction[] = [
  row('hydrogen sulfide', 'kills; the nose goes numb first', 100),
  row('sulfur dioxide', 'brings on asthma far below what is smelt as sharp', 100),
  row('hydrogen cyanide', 'kills', 50),
  row('ammonia', 'burns eyes and lungs', 300),
  row('chlorine or bromine', 'burns the lungs, hours later too', 10),
  row('chloramine and heat', 'burns the lungs'),
  row('boiling, fire, a burst drum', 'burns'),
  row('heat and spatter', 'burns'),
  row('explosive silver', 'detonates, on standing too'),
  row('hydrogen selenide', 'is poison', 1),
  row('carbon monoxide', 'kills unnoticed', 1200),
]

const oxidised: WasteFamily[] = ['dev', 'sel', 'acid', 'nob', 'ald', 'oxa']
/** Which families never meet, by the number of their reaction. */
const table: [reaction: number, one: WasteFamily, others: WasteFamily[]][] = [
  [1, 'sul', ['acid', 'chr', 'mno', 'cop', 'oxa', 'nob', 'sil']],
  [2, 'acid', ['dev', 'sil']],
  [2, 'sil', ['chr', 'mno']],
  [3, 'fer', ['acid', 'chr', 'mno', 'cop', 'oxa', 'nob', 'chl']],
  [4, 'alk', ['sil', 'sel', 'oxa']],
  [5, 'chl', ['acid', 'chr', 'mno', 'cop', 'oxa', 'nob']],
  [5, 'cop', ['chr', 'mno']],
  [6, 'chl', ['sil', 'sel']],
  [7, 'chr', oxidised],
  [7, 'mno', oxidised],
  [7, 'chl', ['dev', 'sul', 'ald']],
  [8, 'acid', ['alk']],
  [9, 'nob', ['alk', 'oxa']],
  [10, 'sel', ['acid', 'cop', 'oxa', 'nob']],
  [11, 'acid', ['oxa']],
]
const keyOf = (a: WasteFamily, b: WasteFamily): string => [a, b].sort().join(' ')
const blocked = new Map(table.flatMap(([reaction, one, others]) => others.map((other) => [keyOf(one, other), reaction] as const)))

/**
 * Whether liquid of two families may meet: the same family may; apart is no danger known, but spoils recovery or acceptance; a block has no overrule, and names its
 * reaction by its number in the table.
 * @example
 * meeting('fer', 'acid') // → { verdict: 'block', reaction: 3 }
 */
export function meeting(a: WasteFamily, b: WasteFamily): { verdict: 'same' | 'apart' | 'block'; reaction?: number } {
  const reaction = blocked.get(keyOf(a, b))
  if (reaction !== undefined) return { verdict: 'block', reaction }
  return { verdict: a === b ? 'same' : 'apart' }
}
