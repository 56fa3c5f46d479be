import { impossible } from '../../error'
import { assumedShelfC } from '../ageing'
import type { Container } from '../bottle'
import type { Decided } from './act'

const words: Record<Container, string> = { bottle: 'in its bottle, with its air', airless: 'the air pressed out', tray: 'in an open tray' }

/**
 * What is written when a bottle comes onto another shelf, or into another kind of container; a shelf nobody measured counts with `assumedShelfC`.
 * @throws Refused 'nothing'
 * @example
 * decideMoving('f1', { entryId: 'e', shelf: { name: 'Film bench', celsius: null }, container: null }).lines[0].celsius // → 20
 */
export function decideMoving(
  bottleId: string,
  { entryId, shelf, container }: { entryId: string; shelf: { name: string; celsius: number | null } | null; container: Container | null },
): Decided {
  if (!shelf && !container) throw impossible('nothing', 'Say where to.')
  const note = [...(shelf ? [`to ${shelf.name}`] : []), ...(container ? [words[container]] : [])].join(', ')
  const celsius = shelf ? (shelf.celsius ?? assumedShelfC) : null
  return { lines: [{ id: entryId, bottleId, kind: 'move', ml: 0, celsius, container, note }] }
}
