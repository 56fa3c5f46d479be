import { backwardsClock, mendClock } from '../database/clockMend'
import type { House } from './route'

const everyMs = 3_600_000
const clockEveryMs = 60_000
/** Answers to writes are kept so long, so that the same write tried again counts once. */
export const idempotencyLifeMs = 30 * 86_400_000

/** Forgets what is no longer wanted, now and then: old answers, sessions and codes that have run out; and puts lines right when the clock turns out to have run ahead. Answers a function that ends it. */
export function pruning({ db, clock }: House): () => void {
  const prune = async () => {
    const now = clock.now()
    await db.run('delete from idempotency where created_at < $1', [new Date(now - idempotencyLifeMs)])
    await db.run('delete from session where expires_at <= $1', [new Date(now)])
    await db.run('delete from one_time_code where expires_at <= $1', [new Date(now)])
  }
  const timer = setInterval(() => void prune().catch(() => undefined), everyMs)
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
