import type { Chemical } from './chemical'
import { hazardLabel } from './hazardStatements'

/** Statements from the worst on, as far as a small label has room for them. The order is the house's own. */
const worstFirst = [
  'H300',
  'H310',
  'H314',
  'H330',
  'H331',
  'H301',
  'H311',
  'H350',
  'H340',
  'H360',
  'H318',
  'H334',
  'H351',
  'H341',
  'H361',
  'H317',
  'EUH032',
  'EUH031',
  'H302',
  'H319',
  'H315',
]
const most = 2

/**
 * What a small label says of the hazards of what is in a jar or a bottle: the signal word and the worst statements; where nothing is known, where it is to be read.
 * @example
 * labelHazards({ statements: ['H314', 'H315'] }) // → ['Danger: Causes severe skin burns and eye damage', 'Causes skin irritation']
 * labelHazards({}) // → ['See the supplier’s safety sheets']
 */
export function labelHazards(of: Pick<Chemical, 'statements'>): string[] {
  const { signal, statements } = hazardLabel(of)
  const worst = worstFirst.flatMap((code) => statements.find((statement) => statement.code === code)?.words ?? []).slice(0, most)
  if (signal === null && worst.length === 0) return ['See the supplier’s safety sheets']
  return worst.map((words, i) => (i === 0 && signal !== null ? `${signal}: ${words}` : words))
}
