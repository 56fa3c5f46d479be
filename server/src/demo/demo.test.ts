import { bottleList } from '../bottle/rows'
import { connect } from '../database/connection'
import { prepare } from '../database/prepare'
import { instrumentRows } from '../proof/queries'
import { newDatabase, sqlOn } from '../test/house'

const day = 86_400_000

/** What a newcomer finds in a demo loaded at that time. */
async function foundAt(time: number) {
  const db = connect(await newDatabase())
  await prepare(db, { now: () => time }, { kind: 'demo', strict: false, fresh: false })
  const bottles = await bottleList(db, { retired: false, limit: 200, after: null }, time)
  const [process] = (await instrumentRows(db, { ids: null, limit: 50, after: null })).filter((one) => one.kind === 'process')
  const runs = await sqlOn(db)<{ number: number }>('select number from run order by number')
  await db.close()
  return { bottles, strips: process?.strips ?? [], runs: runs.length }
}

test('the demo is the same whichever hour and day it is loaded at, and its control chart has its mean', async () => {
  const midnight = Math.floor(Date.now() / day) * day
  const found = []
  for (const time of [midnight + 60_000, midnight + 0.4 * day, midnight + 0.99 * day, midnight + 200.7 * day]) {
    const { bottles, strips, runs } = await foundAt(time)
    const newest = strips.at(-1)
    const others = new Set(strips.filter((strip) => strip.good && strip.batchId !== newest?.batchId).map((strip) => strip.batchId))
    expect(others.size).toBeGreaterThanOrEqual(2)
    found.push({
      runs,
      bottles: bottles.map((one) => [
        one.label,
        one.name,
        Math.round(one.state.volumeMl),
        one.state.findings.map((finding) => finding.rule),
        one.due.map((due) => `${due.kind} ${due.why}`),
      ]),
    })
  }
  for (const other of found) expect(other).toEqual(found[0])
}, 120_000)
