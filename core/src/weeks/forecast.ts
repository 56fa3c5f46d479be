import { DateTime } from 'luxon'
import { goodUntil } from '../bottle/goodUntil'
import { mayBeUsed } from '../bottle/mayBeUsed'
import { pouredFirst } from '../bottle/orderOfUse'
import { shareOf } from '../dilution/shareOf'
import type { EveningHouse } from '../evening/house'
import type { Plan } from '../process/load'
import { wantsOf } from '../process/uses'
import type { HouseFormula } from './plentiful'
import type { MixForecast } from './result'

/** A plan whose baths are poured at a time (ms), with what each of its bottles is: a formula as stock, or in parts. */
export interface Wanted {
  at: number
  plan: Plan
  bottleOf: (bottleId: string) => { formulaId: string; parts: number[] | null } | undefined
}

/** What is left in a bottle, and until when it is good. */
interface Stock {
  left: number
  until: number
}

/** What of a formula is on the shelf: ml of its stock, or rolls it is good for. */
function stockOf({ bottles }: EveningHouse, formulaId: string, unit: MixForecast['unit'], now: number): Stock[] {
  return bottles
    .map((one) => one.shelf)
    .filter((one) => one.formulaId === formulaId && mayBeUsed(one))
    .sort(pouredFirst)
    .map(({ parts, state, reserved }) => {
      const free =
        unit === 'ml' ? (state.volumeMl - (reserved?.ml ?? 0)) * shareOf(parts) : (state.rollsLeft ?? Infinity) - (reserved?.rolls ?? 0)
      return { left: Math.max(0, free), until: goodUntil(state, now) ?? Infinity }
    })
}

/** Takes of the bottles that are good then; answers what is missing. */
function take(stock: Stock[], amount: number, at: number): number {
  let wanted = amount
  for (const bottle of stock) {
    if (bottle.until < at) continue
    const taken = Math.min(bottle.left, wanted)
    bottle.left -= taken
    wanted -= taken
  }
  return wanted
}

/** Monday of the week of a time in a zone. */
const mondayOf = (at: number, zone: string): string => DateTime.fromMillis(at, { zone }).startOf('week').toISODate() as string

/**
 * What has to be mixed in each week, by formula, for what is planned: taken in the order of time from the bottles on the shelf, each as long as it keeps. Of what is used again that is counted in
 * roll equivalents and mixed by what a litre bears, at least as much as is poured at once; of what is poured away in ml. Nothing is mixed ahead for the week after.
 * @example
 * forecastMixing([], eveningHouse, [], 0) // → []
 */
export function forecastMixing(wanted: Wanted[], house: EveningHouse, formulas: HouseFormula[], now: number): MixForecast[] {
  const body = new Map(formulas.map((one) => [one.id, one.body]))
  const stocks = new Map<string, Stock[]>()
  const lines = new Map<string, MixForecast>()
  for (const { at, plan, bottleOf } of [...wanted].sort((a, b) => a.at - b.at)) {
    for (const { bottleId, ml, equivalents, oneShot } of wantsOf(plan)) {
      const bottle = bottleOf(bottleId)
      const formula = bottle && body.get(bottle.formulaId)
      if (!bottle || !formula) continue
      const { formulaId } = bottle
      const unit = oneShot ? 'ml' : 'rolls'
      const [week, key] = [mondayOf(at, house.zone), `${formulaId} ${unit}`]
      const line = lines.get(`${key} ${week}`) ?? {
        ...{ formulaId, name: formula.name, family: formula.family, week, unit, wanted: 0, missing: 0, mixMl: 0, by: null },
      }
      const stock = stocks.get(key) ?? stockOf(house, formulaId, unit, now)
      stocks.set(key, stock)
      const amount = oneShot ? ml * shareOf(bottle.parts) : equivalents
      const missing = take(stock, amount, at)
      line.wanted += amount
      line.missing += missing
      if (missing > 1e-9) {
        line.by ??= at
        const perL = formula.use?.capacityRollsPerL ?? null
        line.mixMl = oneShot ? line.missing : Math.max(line.mixMl, ml, perL ? (1000 * line.missing) / perL : 0)
      }
      lines.set(`${key} ${week}`, line)
    }
  }
  return [...lines.values()].sort((a, b) => (a.week < b.week ? -1 : a.week > b.week ? 1 : 0) || a.name.localeCompare(b.name, 'en'))
}
