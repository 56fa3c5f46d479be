import type { Plan } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { lockBottles } from '../bottle/ledger'
import { bottlesById } from '../bottle/rows'
import type { Database } from '../table/database'

/** The bottles of a plan, locked. */
export async function bottlesOf(db: Database, plan: Plan, now: number): Promise<Bottle[]> {
  const ids = [...new Set(plan.steps.flatMap((step) => step.bottle?.id ?? []))]
  await lockBottles(db, ids)
  return bottlesById(db, ids, now)
}
