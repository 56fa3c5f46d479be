import type { Request } from 'express'
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible'
import type { House } from '../http/route'
import { Refusal } from '../http/refusal'

const windowS = 15 * 60
/** wrong tries of one name from one place, of one name from anywhere, and of any names from one place */
const perPair = 10
const perName = 60
const perAddress = 60

/** Limits wrong sign-ins by name and by address, so that someone who mistypes a name does not lock its owner out elsewhere; counted in PostgreSQL, so that several servers count together. */
export function signInLimiter({ db }: House) {
  const limiter = (keyPrefix: string, points: number) =>
    new RateLimiterPostgres({
      storeClient: db.sequelize,
      storeType: 'sequelize',
      tableName: 'sign_in_attempt',
      tableCreated: true,
      keyPrefix,
      points,
      duration: windowS,
    })
  const byPair = limiter('pair', perPair)
  const byName = limiter('name', perName)
  const byAddress = limiter('address', perAddress)
  return {
    take: async (request: Request, login: string): Promise<void> => {
      try {
        await byAddress.consume(request.ip ?? 'unknown')
        await byName.consume(login)
        await byPair.consume(`${login} ${request.ip ?? 'unknown'}`)
      } catch (error) {
        if (error instanceof Error) throw error
        const minutes = Math.max(1, Math.ceil((error as RateLimiterRes).msBeforeNext / 60_000))
        throw new Refusal(429, 'too-many', `Too many tries. Wait ${minutes} min, or ask a technician for a one-time code.`)
      }
    },
    forget: async (request: Request, login: string): Promise<void> => {
      await byName.delete(login)
      await byPair.delete(`${login} ${request.ip ?? 'unknown'}`)
      await byAddress.reward(request.ip ?? 'unknown')
    },
  }
}
