import { throughputFrom, type BottleUse } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntries, type NewEntry } from '../bottle/ledger'
import { requireVolume } from '../bottle/requiring'
import { bottlesById } from '../bottle/rows'
import type { Database } from '../table/database'

/** Writes what a run did to its bottles, step by step. `strict`: what is not there is refused; else a bottle that holds less than the carry-out gives what it has. */
export async function writeUses(
  db: Database,
  run: Run,
  uses: BottleUse[],
  { by, at, strict, now }: { by: string; at: number; strict: boolean; now: number },
): Promise<void> {
  const ids = [...new Set(uses.map((use) => use.bottleId))]
  await lockBottles(db, ids)
  const bottles = await bottlesById(db, ids, now)
  // a bottle that stands in two steps gives twice
  const held = new Map(bottles.map((bottle) => [bottle.id, bottle.state.volumeMl]))
  const lines: NewEntry[] = []
  for (const { bottleId, kind, rolls, waterInMl, step, ml: asked } of uses) {
    const bottle = bottles.find((one) => one.id === bottleId)
    if (!bottle) continue
    const left = held.get(bottle.id) ?? 0
    if (strict) requireVolume({ ...bottle, state: { ...bottle.state, volumeMl: left } }, -asked)
    const ml = Math.max(asked, -left)
    held.set(bottle.id, left + ml)
    lines.push({ id: uuid(), bottleId, kind, at, by, ml, throughput: throughputFrom({ rolls }), waterInMl, runId: run.id, step })
  }
  await writeEntries(db, lines)
}
