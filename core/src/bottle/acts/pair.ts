import { conflict, impossible } from '../../error'
import type { Acted, Decided } from './act'
import { requireInUse } from './requiring'
import { asOne, decideRetiring } from './retire'

/**
 * What is written when two fixing baths become a pair, at a time (ms).
 * @throws Refused 'same-bottle', 'not-two-bath', 'retired'
 * @example
 * decidePairing({ ...acted, use: { ...fixer.use, school: 'two-bath' } }, { ...acted, id: 'f2', use: { ...fixer.use, school: 'two-bath' } }, 0).lines.map((line) => line.twoBath?.position) // → [1, 2]
 */
export function decidePairing(first: Acted, second: Acted, at: number): Decided {
  if (first.id === second.id) throw impossible('same-bottle', 'A pair is two bottles.', { field: 'secondId' })
  const places = [
    { bottle: first, position: 1, note: 'first bath of a pair' },
    { bottle: second, position: 2, note: 'second bath of a pair' },
  ] as const
  return {
    lines: places.map(({ bottle, position, note }) => {
      if (bottle.use.school !== 'two-bath')
        throw impossible('not-two-bath', `${bottle.label} is not used as one of two baths. Change how it is used first.`)
      requireInUse(bottle)
      return { bottleId: bottle.id, kind: 'change', ml: 0, twoBath: { position, moves: 0, since: at }, note }
    }),
  }
}

/**
 * What is written when the second bath becomes the first: the old first is discarded, a fresh second stands in.
 * @throws Refused 'same-bottle', 'not-a-pair', 'last-move', 'wrong-fresh'
 * @example
 * decideMovingUp(acted, { ...acted, id: 'f2' }, { ...acted, id: 'f3' }) // throws 'not-a-pair'
 */
export function decideMovingUp(first: Acted, second: Acted, fresh: Acted): Decided {
  if (new Set([first.id, second.id, fresh.id]).size < 3)
    throw impossible('same-bottle', 'That takes three bottles: the old first, the second, and a fresh one.')
  const place = second.state.twoBath
  if (place?.position !== 2 || first.state.twoBath?.position !== 1)
    throw impossible('not-a-pair', `${first.label} and ${second.label} are not the first and the second bath of a pair.`)
  if (place.moves >= (second.use.twoBath?.moves ?? 0))
    throw conflict('last-move', `The pair has had its ${place.moves} moves: discard both baths and begin with a fresh pair.`)
  if (fresh.formulaId !== second.formulaId || fresh.retiredAt !== null || fresh.use.school !== 'two-bath')
    throw impossible('wrong-fresh', `${fresh.label} is no fresh bath of the same kind.`, { field: 'freshId' })
  const moved = { ...place, moves: place.moves + 1 }
  const line = { ml: 0, otherBottleId: first.id }
  return asOne(decideRetiring(first, { why: `First bath used up; ${second.label} moves up`, discard: true }), {
    lines: [
      { ...line, bottleId: second.id, kind: 'move-up', twoBath: { ...moved, position: 1 }, note: 'second bath becomes the first' },
      { ...line, bottleId: fresh.id, kind: 'change', otherBottleId: second.id, twoBath: moved, note: 'fresh second bath' },
    ],
  })
}
