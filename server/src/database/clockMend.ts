import { dayMs } from '@selvrin/core'
import { Op, type Model, type ModelStatic } from 'sequelize'
import { forgetCheckpoints, settle } from '../bottle/checkpoint'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { mendingClock } from './queries'

/** Lines so far ahead of the clock were written while it was wrong; a few hours' error does no harm. */
const farAheadMs = 30 * dayMs
const nearAheadMs = 5 * 60_000

/** Sets every time of those columns that is behind `far` to `now`; a plan's time may well lie ahead. */
async function setBack(db: Database, far: number, now: number): Promise<void> {
  const behind = { [Op.gt]: far }
  await changeAll(db.Bottle, { madeAt: now }, { madeAt: behind })
  await changeAll(db.Bottle, { retiredAt: now }, { retiredAt: behind })
  await changeAll(db.Jar, { openedAt: now }, { openedAt: behind })
  await db.Batch.update({ madeAt: now }, { where: { madeAt: behind } })
  for (const model of [db.BottleEntry, db.JarEntry, db.Proof] as unknown as ModelStatic<Model & { at: number }>[])
    await model.update({ at: now } as never, { where: { at: behind } as never })
}

/**
 * Puts lines right that were written while the clock ran far ahead: they get the time at which the clock was found right again, so that no bottle is years
 * old for good. Which clock was wrong, then or now, is told by the jump: a house whose clock is behind has lines all the way up from now, and most of them
 * ahead; then nothing is changed. Answers how many ledger lines were put right. `now` in ms.
 */
export const mendClock = (db: Database, now: number): Promise<number> =>
  db.transaction(async () => {
    const far = now + farAheadMs
    const ahead = await db.BottleEntry.findAll({ attributes: ['bottleId'], where: { at: { [Op.gt]: far } }, raw: true })
    if (ahead.length === 0) return 0
    const near = await db.BottleEntry.count({ where: { at: { [Op.gt]: now + nearAheadMs, [Op.lte]: far } } })
    if (near > 0 || ahead.length * 2 > (await db.BottleEntry.count())) return 0
    const wrong = [{ madeAt: { [Op.gt]: far } }, { retiredAt: { [Op.gt]: far } }, { id: [...new Set(ahead.map((one) => one.bottleId))] }]
    const bottles = await db.Bottle.findAll({
      attributes: ['id'],
      where: { [Op.or]: wrong },
      order: [['id', 'asc']],
      lock: true,
      raw: true,
    })
    await mendingClock(db, true)
    await setBack(db, far, now)
    await mendingClock(db, false)
    const ids = bottles.map((one) => one.id)
    await forgetCheckpoints(db, ids)
    await settle(db, ids)
    return ahead.length
  })

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
