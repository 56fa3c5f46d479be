import { supplyOf } from '@selvrin/core'
import type { SupplyRow } from '@selvrin/core/contract'
import { bottleList } from '../bottle/rows'
import type { Database } from '../table/database'
import { usedSince } from './queries'

const dayMs = 86_400_000
/** The recent rate is taken over so many days. */
const rateDays = 28
const mostBottles = 2000

/** How long each formula's bottles last, at what went through in the last four weeks and with what is planned. */
export async function suppliesOf(db: Database, now: number): Promise<SupplyRow[]> {
  const bottles = await bottleList(db, { retired: false, limit: mostBottles, after: null }, now)
  const recent = await usedSince(db, now - rateDays * dayMs)
  const planned = await plannedRolls(db)
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
  const names = await namesOf(
    db,
    gone.map((one) => one.formulaId),
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

async function namesOf(db: Database, formulaIds: string[]): Promise<Pick<SupplyRow, 'formulaId' | 'name' | 'family'>[]> {
  if (formulaIds.length === 0) return []
  const versions = await db.FormulaVersion.findAll({ where: { formulaId: formulaIds }, order: [['number', 'asc']], raw: true })
  const newest = new Map(versions.map(({ formulaId, body }) => [formulaId, { formulaId, name: body.name, family: body.family }]))
  return [...newest.values()]
}

/** Rolls of runs that are planned and not begun, by the formulas they want; a formula that stands in two steps of a run is wanted once. */
async function plannedRolls(db: Database): Promise<{ formulaId: string; at: number; rolls: number }[]> {
  const baths = await db.RunBath.findAll({
    include: [
      { association: 'run', attributes: ['plannedAt'], where: { state: 'planned' } },
      { association: 'bottle', attributes: ['id'], include: [{ association: 'madeOf', attributes: ['formulaId'] }] },
    ],
  })
  const wanted = baths.map(({ runId, equivalents, run, bottle }) => {
    const formulaId = bottle?.madeOf?.formulaId ?? ''
    return [`${runId} ${formulaId}`, { formulaId, at: run?.plannedAt ?? 0, rolls: equivalents }] as const
  })
  return [...new Map(wanted).values()]
}
