import { silverPerRollG } from '../bottle/silver'
import { rollAreaCm2 } from '../dilution/rollEquivalents'
import { requireAmounts } from '../error'

type SilverKind = 'bw-roll' | 'colour-roll' | 'sheet-4x5' | 'print' | 'iron-silver'
const sheetCm2 = 4 * 5 * 2.54 ** 2
/** g one of each leaves in the bath. An iron–silver print of 20×25 cm leaves it in the first wash; rounded literature value. */
const each: Record<SilverKind, number> = {
  'bw-roll': silverPerRollG.film,
  'colour-roll': silverPerRollG.colour,
  'sheet-4x5': (silverPerRollG.film * sheetCm2) / rollAreaCm2,
  print: silverPerRollG.paper,
  'iron-silver': 0.034,
}

/**
 * g of silver that loads leave in a bath.
 * @throws DomainError 'out-of-range'
 * @example
 * silverFrom({ loads: [{ kind: 'bw-roll', count: 20 }] }) // → 3.612
 */
export function silverFrom({ loads }: { loads: { kind: SilverKind; count: number }[] }): number {
  return loads.reduce((sum, { kind, count }) => {
    requireAmounts({ 'How many there were': count })
    return sum + each[kind] * count
  }, 0)
}
