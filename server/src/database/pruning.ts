import { dayMs } from '@selvrin/core'
import { Op } from 'sequelize'
import type { House } from '../house/house'
import { inOneProcess } from '../house/queries'
import type { Database } from '../table/database'
import { keptMs } from '../device/bath'
import { backwardsClock, mendClock } from './clockMend'

const everyMs = 3_600_000
const clockEveryMs = 60_000
/** Answers to writes are kept so long, so that the same write tried again counts once. */
const idempotencyLifeMs = 30 * dayMs

export const forgetOldAnswers = (db: Database, now: number): Promise<number> =>
  db.Idempotency.destroy({ where: { createdAt: { [Op.lt]: now - idempotencyLifeMs } } })

/** Forgets what is no longer wanted, now and then: old answers, sessions and codes that have run out; and puts lines right when the clock turns out to have run ahead. Answers a function that ends it. */
export function pruning({ db, clock }: House): () => void {
  const prune = async () => {
    const now = clock.now()
    await forgetOldAnswers(db, now)
    await db.BathReading.destroy({ where: { at: { [Op.lt]: now - keptMs } } })
    await db.Session.destroy({ where: { expiresAt: { [Op.lte]: now } } })
    await db.OneTimeCode.destroy({ where: { expiresAt: { [Op.lte]: now } } })
  }
  const timer = setInterval(() => void inOneProcess(db, 'pruning', prune).catch(() => undefined), everyMs)
  const setBack = backwardsClock(() => clock.now())
  const watch = setInterval(() => {
    if (setBack()) void mendClock(db, clock.now()).catch(() => undefined)
  }, clockEveryMs)
  timer.unref()
  watch.unref()
  return () => {
    clearInterval(timer)
    clearInterval(watch)
  }
}
