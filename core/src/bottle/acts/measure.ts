import { impossible } from '../../error'
import { together, type Acted, type Decided } from './act'
import { requireInUse } from './requiring'

/**
 * What is written when what a bottle holds (ml) was measured: the difference to its lines becomes a line.
 * @throws Refused 'retired', 'too-full'
 * @example
 * decideMeasure(acted, { entryId: 'e', ml: 900, note: '' }).lines[0].ml // → -40
 */
export function decideMeasure(bottle: Acted, asked: { entryId: string; ml: number; note: string }): Decided {
  requireInUse(bottle)
  if (asked.ml > bottle.sizeMl)
    throw impossible(
      'too-full',
      `${bottle.label} is a bottle of ${bottle.sizeMl.toFixed(0)} ml: it cannot hold ${asked.ml.toFixed(0)} ml.`,
      { field: 'ml' },
    )
  const off = asked.ml - bottle.state.volumeMl
  const says = `measured ${asked.ml.toFixed(0)} ml, ${Math.abs(off).toFixed(0)} ml ${off < 0 ? 'less' : 'more'} than its lines come to`
  return { lines: [{ id: asked.entryId, bottleId: bottle.id, kind: 'correct', ml: off, note: together(says, asked.note) }] }
}
