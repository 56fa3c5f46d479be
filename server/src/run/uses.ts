import type { BottleUse } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { bottlesById, requireVolume } from '../bottle/rows'
import type { Database } from '../database/connection'

/** Writes what a run did to its bottles, step by step. `strict`: what is not there is refused; else a bottle that holds less than the carry-out gives what it has. */
export async function writeUses(
  db: Database,
  run: Run,
  uses: BottleUse[],
  call: { by: string; at: number; strict: boolean; now: number },
  tx: Transaction | undefined,
): Promise<void> {
  const ids = [...new Set(uses.map((use) => use.bottleId))]
  await lockBottles(db, ids, tx)
  const bottles = await bottlesById(db, ids, call.now, tx)
  // a bottle that stands in two steps gives twice
  const held = new Map(bottles.map((bottle) => [bottle.id, bottle.state.volumeMl]))
  for (const use of uses) {
    const bottle = bottles.find((one) => one.id === use.bottleId)
    if (!bottle) continue
    const left = held.get(bottle.id) ?? 0
    if (call.strict) requireVolume({ ...bottle, state: { ...bottle.state, volumeMl: left } }, -use.ml)
    const ml = Math.max(use.ml, -left)
    held.set(bottle.id, left + ml)
    await writeEntry(
      db,
      {
        id: uuid(),
        bottleId: use.bottleId,
        kind: use.kind,
        at: call.at,
        by: call.by,
        ml,
        rolls: use.rolls,
        waterInMl: use.waterInMl,
        runId: run.id,
        step: use.step,
      },
      tx,
    )
  }
}
