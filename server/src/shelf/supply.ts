import { supplyOf } from '@selvrin/core'
import type { ConsumptionRow, SupplyRow } from '@selvrin/core/contract'
import type { Database } from '../database/connection'
import { bottleList } from '../bottle/rows'

const dayMs = 86_400_000
/** The recent rate is taken over so many days. */
const rateDays = 28
const mostBottles = 2000

/** How long each formula's bottles last, at what went through in the last four weeks and with what is planned. */
export async function suppliesOf(db: Database, now: number): Promise<SupplyRow[]> {
  const bottles = await bottleList(db, { retired: false, limit: mostBottles, after: null }, now)
  const recent = await db.rows<{ formulaId: string; rolls: number }>(
    `select v.formula_id as "formulaId", sum(case when e.rolls + e.paper > 0 then e.rolls + e.paper else coalesce((r.plan ->> 'rolls')::numeric, 0) end) as rolls
     from bottle_entry e join bottle b on b.id = e.bottle_id join formula_version v on v.id = b.formula_version_id left join run r on r.id = e.run_id
     where e.at > $1 and (e.kind = 'use' or (e.kind = 'dilute-out' and e.run_id is not null)) and not exists (select from bottle_entry x where x.reverses = e.id)
     group by v.formula_id`,
    [new Date(now - rateDays * dayMs)],
  )
  const planned = await db.rows<{ formulaId: string; at: number; rolls: number }>(
    `select distinct on (r.id, v.formula_id) v.formula_id as "formulaId", r.planned_at as at, (r.plan ->> 'rolls')::numeric as rolls
     from run r cross join lateral jsonb_array_elements(r.request -> 'baths') as bath join bottle b on b.id = (bath ->> 'bottleId')::uuid
       join formula_version v on v.id = b.formula_version_id where r.state = 'planned'`,
  )
  const formulas = new Map<string, typeof bottles>()
  for (const bottle of bottles) formulas.set(bottle.formulaId, [...(formulas.get(bottle.formulaId) ?? []), bottle])
  const standing = [...formulas].flatMap(([formulaId, mine]): SupplyRow[] => {
    const able = mine.filter(
      (bottle) => bottle.state.rollsLeft !== null && !bottle.state.findings.some((finding) => finding.severity === 'error'),
    )
    const first = mine[0]
    if (!first || mine.every((bottle) => bottle.state.rollsLeft === null)) return []
    const rollsPerDay = (recent.find((one) => one.formulaId === formulaId)?.rolls ?? 0) / rateDays
    // what is planned and not yet begun is wanted today, whenever it was planned
    const wanted = planned.filter((one) => one.formulaId === formulaId).map((one) => ({ at: Math.max(one.at, now), rolls: one.rolls }))
    const supply = supplyOf(
      able.map((bottle) => ({
        id: bottle.id,
        madeAt: bottle.madeAt,
        openedAt: bottle.state.openedAt,
        rollsLeft: bottle.state.rollsLeft ?? 0,
        daysLeft: bottle.state.daysLeft,
      })),
      rollsPerDay,
      wanted,
      now,
    )
    return [
      {
        formulaId,
        name: first.name,
        family: first.family,
        rollsPerDay,
        plannedRolls: wanted.reduce((sum, one) => sum + one.rolls, 0),
        ...supply,
      },
    ]
  })
  // what was used lately and has no bottle any more is wanted today
  const gone = recent.filter((one) => one.rolls > 0 && !formulas.has(one.formulaId))
  const names = await db.rows<{ formulaId: string; name: string; family: string }>(
    `select distinct on (formula_id) formula_id as "formulaId", body ->> 'name' as name, body ->> 'family' as family from formula_version
     where formula_id = any($1::uuid[]) order by formula_id, number desc`,
    [gone.map((one) => one.formulaId)],
  )
  return [
    ...standing,
    ...names.map((one): SupplyRow => ({
      ...one,
      order: [],
      rollsLeft: 0,
      rollsPerDay: (gone.find(({ formulaId }) => formulaId === one.formulaId)?.rolls ?? 0) / rateDays,
      plannedRolls: 0,
      runsOutAt: now,
      because: 'use',
    })),
  ]
}

/** What finished bottles really used up, in ml of stock, for the rolls that went through; and what single runs drew to use once. */
export const consumptionOf = (db: Database): Promise<ConsumptionRow[]> =>
  db.rows<ConsumptionRow>(
    `with lines as (
       select e.*, v.formula_id, coalesce(b.own_use ->> 'school', v.body -> 'use' ->> 'school') as school, b.retired_at,
         case when b.parts is null then 1 else b.parts[1] / (select sum(part) from unnest(b.parts) as part) end as share
       from bottle_entry e join bottle b on b.id = e.bottle_id join formula_version v on v.id = b.formula_version_id
       where e.reverses is null and not exists (select from bottle_entry x where x.reverses = e.id)
     ), once as (
       select formula_id, 'one-shot' as school, sum(-l.ml * share) as ml, sum(coalesce((r.plan ->> 'rolls')::numeric, 0)) as rolls
       from lines l join run r on r.id = l.run_id and r.state = 'done' where l.kind = 'dilute-out' group by formula_id
     ), again as (
       select formula_id, school, sum(case when kind in ('fill', 'top-up', 'replenish', 'dilute-out', 'decant') then ml * share else 0 end) as ml, sum(rolls + paper) as rolls
       from lines where school <> 'one-shot' and retired_at is not null group by formula_id, school
     )
     select formula_id as "formulaId", school, ml, rolls from (select * from once union all select * from again) as used where rolls > 0 and ml > 0`,
  )
