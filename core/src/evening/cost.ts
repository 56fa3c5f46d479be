import { shareOf } from '../dilution/shareOf'
import { costOf } from '../formula/cost'
import { stockPerRoll } from '../formula/stockPerRoll'
import { pricesFor } from '../jar/prices'
import type { ShelfJar } from '../jar/asOnShelf'
import type { Plan } from '../process/load'
import { usesAtEnd, usesAtStart } from '../process/uses'
import type { PlacedEvening } from '../rota/darkroom/asPlaced'
import type { EveningBody } from './body'
import type { EveningHouse } from './house'

type Priced = ShelfJar & { pricePerKg: number | null }

/** What a litre of each bottle's stock costs, and what of its stock a roll takes, by bottle. */
function rates({ bottles, catalogue }: Pick<EveningHouse, 'bottles' | 'catalogue'>, jars: Priced[]) {
  const known = new Map<string, { perLitre: number; stockMlPerRoll: number | null; share: number }>()
  for (const { shelf, formula, facts } of bottles) {
    const { perLitre, unpriced } = costOf(formula, pricesFor(formula, jars, catalogue), catalogue)
    // a formula of which nothing has a price costs nobody knows what
    if (perLitre === 0 && unpriced.length > 0) continue
    known.set(shelf.id, { perLitre, stockMlPerRoll: stockPerRoll(formula.use)?.ml ?? null, share: shareOf(facts.parts) })
  }
  return known
}

/** Chemicals of one run, in money; null where nothing of it has a price. */
function runCost(plan: Plan, known: ReturnType<typeof rates>): number | null {
  let sum: number | null = null
  for (const { bottleId, ml } of usesAtStart(plan)) {
    const rate = known.get(bottleId)
    if (rate) sum = (sum ?? 0) + (rate.perLitre * rate.share * -ml) / 1000
  }
  for (const { bottleId, rolls } of usesAtEnd(plan)) {
    const rate = known.get(bottleId)
    if (rate && rate.stockMlPerRoll !== null) sum = (sum ?? 0) + (rate.perLitre * rate.stockMlPerRoll * rolls) / 1000
  }
  return sum
}

/**
 * What the chemicals of each order cost, in the darkroom's currency, by its id: of what is used once what its load takes, of what is poured back its share of the bath's life;
 * shared alike by the films of a load. Orders of which nothing has a price are left out.
 * @example
 * orderCosts(eveningOfOne, { house: eveningHouse, jars: [], plans: {} }) // → {}
 */
export function orderCosts(
  body: EveningBody,
  { house, jars, plans }: { house: EveningHouse; jars: Priced[]; plans: PlacedEvening['plans'] },
): Record<string, number> {
  const known = rates(house, jars)
  const costs: Record<string, number> = {}
  for (const { id, orders } of body.loads) {
    const plan = plans[id]
    const cost = plan ? runCost(plan, known) : null
    if (cost === null) continue
    for (const order of orders) costs[order] = (costs[order] ?? 0) + cost / orders.length
  }
  return costs
}
