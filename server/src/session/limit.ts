import type { Request } from 'express'
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible'
import type { House } from '../http/route'
import { Refusal } from '../http/refusal'

const windowS = 15 * 60
const perName = 10
const perAddress = 60

/** Limits wrong sign-ins by name and by address; counted in PostgreSQL, so that several servers count together. */
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
  const byName = limiter('name', perName)
  const byAddress = limiter('address', perAddress)
  return {
    take: async (request: Request, login: string): Promise<void> => {
      try {
        await byAddress.consume(request.ip ?? 'unknown')
        await byName.consume(login)
      } catch (error) {
        if (error instanceof Error) throw error
        const minutes = Math.max(1, Math.ceil((error as RateLimiterRes).msBeforeNext / 60_000))
        throw new Refusal(429, 'too-many', `Too many tries. Wait ${minutes} min, or ask a technician for a one-time code.`)
      }
    },
    forget: async (request: Request, login: string): Promise<void> => {
      await byName.delete(login)
      await byAddress.reward(request.ip ?? 'unknown')
    },
  }
}
