import { carryOf, stateFrom } from '../bottle/bottleState'
import type { BathPlace, BottleEntry, BottleFacts } from '../bottle/bottle'
import { pouredFirst } from '../bottle/orderOfUse'
import type { Catalogue } from '../chemical/chemical'
import type { FormulaUse, UsedFormula } from '../formula/use'
import type { RotaBottle, RotaHouse } from '../rota/darkroom/proposed'

/** A formula of the house in its newest version. */
export interface HouseFormula {
  id: string
  body: Omit<UsedFormula, 'id' | 'use'> & Pick<RotaBottle, 'rangeC' | 'temperatureCoefficient' | 'usualS'> & { use: FormulaUse | null }
}

/** ml of which nothing runs out in weeks */
const plentyMl = 1_000_000

/** How a bottle of a formula is kept: as stock, or diluted in these parts. */
interface Kept {
  formula: HouseFormula
  parts: number[] | null
  /** its place in the order in which bottles are poured */
  turn: number
}

/** Bottles of plenty, as if they had just been mixed: one, or both of a pair of baths. */
function freshOf({ formula: { id: formulaId, body }, parts, turn }: Kept, now: number, catalogue: Catalogue): RotaBottle[] {
  const formula = { id: formulaId, ...body } as UsedFormula
  const facts: BottleFacts = { sizeMl: plentyMl, parts, madeAt: now, retiredAt: null }
  const made = (id: string, twoBath: BathPlace | null): RotaBottle => {
    const fill: BottleEntry = { id, kind: 'fill', at: now, ml: plentyMl, waterInMl: 0, reverses: null, twoBath }
    return {
      ...{ id, label: body.name, name: body.name, family: body.family, formulaId, parts, rangeC: body.rangeC },
      ...{ temperatureCoefficient: body.temperatureCoefficient, usualS: body.usualS, use: formula.use },
      state: stateFrom(formula, facts, carryOf(formula, facts, [fill]), now, catalogue),
      ...{ madeAt: turn, retiredAt: null, critical: [] },
    }
  }
  const id = `${formulaId} ${parts?.join('+') ?? ''}`
  if (formula.use.school !== 'two-bath') return [made(id, null)]
  return ([1, 2] as const).map((position) => made(`${id} ${position}`, { position, moves: 0, since: now }))
}

/**
 * A house in which nothing runs out: of everything that stands on the shelf there is plenty, as fresh as it can be, and after it of every other formula. What is planned for weeks is planned
 * with it, since what will stand on the shelf by then is mixed because of the plan. A bottle’s id is its formula’s with the parts it is kept in. At a time (ms).
 * @example
 * plentiful({ processes: [], vessels: [], chart: [], bottles: [] }, [], builtIn, 0).bottles // → []
 */
export function plentiful(house: RotaHouse, formulas: HouseFormula[], catalogue: Catalogue, now: number): RotaHouse {
  const byId = new Map(formulas.map((one) => [one.id, one]))
  const kept = new Map<string, Kept>()
  const keep = (formula: HouseFormula | undefined, parts: number[] | null): void => {
    const key = `${formula?.id} ${parts?.join('+') ?? ''}`
    if (formula?.body.use && !kept.has(key)) kept.set(key, { formula, parts, turn: kept.size })
  }
  for (const { formulaId, parts } of [...house.bottles].filter((one) => one.retiredAt === null).sort(pouredFirst))
    keep(byId.get(formulaId), parts)
  for (const one of formulas) if (![...kept.values()].some(({ formula }) => formula === one)) keep(one, null)
  return { ...house, bottles: [...kept.values()].flatMap((one) => freshOf(one, now, catalogue)) }
}
