import { forgetCheckpoints, settle } from '../bottle/checkpoint'
import type { Database } from './connection'

const dayMs = 86_400_000
/** Lines so far ahead of the clock were written while it was wrong; a few hours' error does no harm. */
const farAheadMs = 30 * dayMs
const nearAheadMs = 5 * 60_000

/** Times that say how old something is; a plan's time may well lie ahead. */
const times: [table: string, column: string][] = [
  ['bottle', 'made_at'],
  ['bottle', 'retired_at'],
  ['bottle_entry', 'at'],
  ['batch', 'made_at'],
  ['jar', 'opened_at'],
  ['jar_entry', 'at'],
  ['proof', 'at'],
]

/**
 * Puts lines right that were written while the clock ran far ahead: they get the time at which the clock was found right again, so that no bottle is years
 * old for good. Which clock was wrong, then or now, is told by the jump: a house whose clock is behind has lines all the way up from now, and most of them
 * ahead; then nothing is changed. Answers how many ledger lines were put right. `now` in ms.
 */
export async function mendClock(db: Database, now: number): Promise<number> {
  return db.transaction(async (tx) => {
    const [near, far] = [new Date(now + nearAheadMs), new Date(now + farAheadMs)]
    const seen = await db.one<{ near: number; far: number; lines: number }>(
      `select count(*) filter (where at > $1 and at <= $2) as near, count(*) filter (where at > $2) as far, count(*) as lines from bottle_entry`,
      [near, far],
      tx,
    )
    if (!seen || seen.far === 0 || seen.near > 0 || seen.far * 2 > seen.lines) return 0
    const bottles = await db.rows<{ id: string }>(
      `select id from bottle where made_at > $1 or retired_at > $1 or id in (select bottle_id from bottle_entry where at > $1) order by id for update`,
      [far],
      tx,
    )
    await db.run(`select set_config('selvrin.mending_clock', 'on', true)`, [], tx)
    for (const [table, column] of times) await db.run(`update ${table} set ${column} = $2 where ${column} > $1`, [far, new Date(now)], tx)
    await db.run(`select set_config('selvrin.mending_clock', '', true)`, [], tx)
    const ids = bottles.map((one) => one.id)
    await forgetCheckpoints(db, ids, tx)
    await settle(db, ids, tx)
    return seen.far
  })
}

/** Answers a question to ask now and then: has the clock been set back since it was last asked? */
export function backwardsClock(now: () => number, ticks: () => number = () => performance.now()): () => boolean {
  let ahead = now() - ticks()
  return () => {
    const is = now() - ticks()
    const back = is < ahead - nearAheadMs
    ahead = is
    return back
  }
}
