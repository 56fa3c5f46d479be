import type { Request } from 'express'
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible'
import { Sequelize } from 'sequelize'
import pg from 'pg'
import { Refusal } from '../house/refusal'
import type { Database } from '../table/database'

const windowS = 15 * 60
/** wrong tries of one name from one place, of any names from one place, and of a name from a place that has used those up */
const perPair = 10
const perAddress = 60
const perPairLate = 3

const pools = new WeakMap<object, Sequelize>()
/** Tries are counted on a connection of their own: counting never waits for one that a transaction holds. */
function ownPool(db: Database): Sequelize {
  const kept = pools.get(db)
  if (kept) return kept
  const made = new Sequelize(db.url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { max: 2, acquire: 10_000, idle: 5_000 },
  })
  pools.set(db, made)
  db.beforeClose(() => made.close())
  return made
}

/**
 * Limits wrong sign-ins, the pair of name and place first: whoever tries someone else's name, from anywhere, uses up tries of their own place only, and its owner comes
 * in from another. Counted in PostgreSQL, so that several servers count together.
 */
export function signInLimiter(db: Database) {
  const storeClient = ownPool(db)
  const limiter = (keyPrefix: string, points: number) =>
    new RateLimiterPostgres({
      storeClient,
      storeType: 'sequelize',
      tableName: 'sign_in_attempt',
      tableCreated: true,
      keyPrefix,
      points,
      duration: windowS,
    })
  const byPair = limiter('pair', perPair)
  const byAddress = limiter('address', perAddress)
  const pairOf = (request: Request, login: string) => `${login} ${request.ip ?? 'unknown'}`
  const tooMany = (left: RateLimiterRes): Refusal => {
    const minutes = Math.max(1, Math.ceil(left.msBeforeNext / 60_000))
    return new Refusal(429, 'too-many', `Too many tries. Wait ${minutes} min, or ask a technician for a one-time code.`)
  }
  return {
    take: async (request: Request, login: string): Promise<void> => {
      let tries: RateLimiterRes
      try {
        tries = await byPair.consume(pairOf(request, login))
      } catch (error) {
        throw error instanceof Error ? error : tooMany(error as RateLimiterRes)
      }
      try {
        await byAddress.consume(request.ip ?? 'unknown')
      } catch (error) {
        if (error instanceof Error) throw error
        // a place that tried too many names: each name has a few tries there all the same, for those who share it
        if (tries.consumedPoints > perPairLate) throw tooMany(error as RateLimiterRes)
      }
    },
    forget: async (request: Request, login: string): Promise<void> => {
      await byPair.delete(pairOf(request, login))
      await byAddress.reward(request.ip ?? 'unknown')
    },
  }
}
