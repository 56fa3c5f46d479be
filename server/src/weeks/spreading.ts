import { orderWish, startOfDay, type HouseFormula, type SpreadProgress, type Weeks, type WeeksAsked } from '@selvrin/core'
import { Op } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { houseOf, runsOf } from '../evening/rows'
import { newestFormulas } from '../formula/queries'
import type { House } from '../house/house'
import { inThread } from '../house/inThread'
import type { Database } from '../table/database'
import { changeAll } from '../table/all'
import { promiseDays } from './promising'

/** Days ahead that orders are spread over. House default. */
const aheadDays = 28
/** changes by chance beyond the first spread, for each order and at most, and the longest it looks, ms */
const [roundsEach, mostRounds, mostMs] = [3, 400, 6000]

/** All that a spread stands on, as it is now. */
async function askedOf(db: Database, now: number): Promise<WeeksAsked> {
  const house = await houseOf(db, { loads: [], prints: { untilAt: { [Op.gt]: now } } }, now)
  const formulas = (await newestFormulas(db, { ids: null, after: null, limit: null })).map(({ id, body }): HouseFormula => ({ id, body }))
  const evenings = await db.Evening.findAll({ where: { closesAt: { [Op.gt]: startOfDay(now, house.zone) } }, order: ['opensAt'] })
  const runs = await runsOf(
    db,
    evenings.flatMap(({ body }) => body.loads.map((load) => load.id)),
  )
  const orders = await db.FilmOrder.findAll({ where: { state: 'waiting', memberId: { [Op.ne]: null } }, order: ['id'] })
  return {
    house: { ...house, catalogue: await catalogueOf(db) },
    formulas,
    evenings: evenings.map(({ day, body }) => ({ day, body, runs })),
    orders: orders.map((order) => ({
      id: order.id,
      wish: orderWish.parse(Object.fromEntries(Object.keys(orderWish.shape).map((key) => [key, order.get(key as never)]))),
      promised: order.promisedFor,
    })),
    ...{ now, days: aheadDays, seed: 1, rounds: Math.min(mostRounds, roundsEach * orders.length) },
  }
}

/** The job: spreads the orders that wait, in a thread of the built `file`, tells how far it is, keeps what came of it, and promises a day to those that have none, or whose day cannot be kept. */
export const spreadWeeks =
  ({ db, clock }: Pick<House, 'db' | 'clock'>, file: string | URL) =>
  async (signal: AbortSignal): Promise<void> => {
    const began = clock.now()
    await changeAll(db.Weeks, { state: 'running', done: 0, of: 0, error: null }, { onlyRow: true })
    try {
      const asked = await askedOf(db, clock.now())
      let telling = Promise.resolve<unknown>(null)
      const told = ({ done, of }: SpreadProgress): void =>
        void (telling = telling.then(() => changeAll(db.Weeks, { done, of }, { onlyRow: true, state: 'running' })).catch(() => undefined))
      const result = await inThread<SpreadProgress, Weeks>(file, { asked, ms: mostMs }, { signal, told })
      await telling
      // the process ends: another takes it up
      if (result === null) throw new Error('It was ended before it was done.')
      await db.transaction(async () => {
        // what was asked for meanwhile is still to come; who asks right now waits for the lock, and asks after this
        const { askedAt } = await db.Weeks.findOne({ attributes: ['askedAt'], lock: true, rejectOnEmpty: true, raw: true })
        const state = askedAt !== null && askedAt > began ? 'asked' : 'done'
        await changeAll(db.Weeks, { state, result, finishedAt: clock.now(), error: null }, { onlyRow: true })
        await promiseDays(db, result, { now: clock.now(), all: false })
      })
    } catch (error) {
      if (!signal.aborted) await changeAll(db.Weeks, { state: 'failed', error: String((error as Error).message) }, { onlyRow: true })
      throw error
    }
  }
