import { dayMs, mayBeUsed, supplyOf } from '@selvrin/core'
import type { Bottle, SupplyRow } from '@selvrin/core/contract'
import { bottleList, bottlesById } from '../bottle/rows'
import { zoneOf } from '../darkroom/zone'
import type { Database } from '../table/database'
import { usedSince } from './queries'

/** The recent rate is taken over so many days. */
const rateDays = 28
const mostBottles = 2000

/** Rolls that are wanted of a formula at a time. */
interface Wanted {
  formulaId: string
  at: number
  rolls: number
}

/** How long each formula's bottles last, at what went through in the last four weeks and with what is planned; those of `formulaIds`, or all. */
export async function suppliesOf(db: Database, now: number, formulaIds: string[] | null = null): Promise<SupplyRow[]> {
  const bottles = await standing(db, formulaIds, now)
  const recent = await usedSince(db, { since: now - rateDays * dayMs, formulaIds })
  const planned = await plannedRolls(db, now)
  const when = { now, zone: await zoneOf(db) }
  const formulas = new Map<string, Bottle[]>()
  for (const bottle of bottles) formulas.set(bottle.formulaId, [...(formulas.get(bottle.formulaId) ?? []), bottle])
  const rateOf = (formulaId: string): number => (recent.find((one) => one.formulaId === formulaId)?.rolls ?? 0) / rateDays
  const supplies = [...formulas].flatMap(([formulaId, mine]) => {
    const wanted = planned.filter((one) => one.formulaId === formulaId)
    return supplyRow(mine, rateOf(formulaId), wanted, when)
  })
  // what was used lately and has no bottle any more is wanted today
  const gone = recent.filter((one) => one.rolls > 0 && !formulas.has(one.formulaId)).map((one) => one.formulaId)
  const names = await namesOf(db, gone)
  return [
    ...supplies,
    ...names.map((one): SupplyRow => ({
      ...one,
      order: [],
      rollsLeft: 0,
      rollsPerDay: rateOf(one.formulaId),
      plannedRolls: 0,
      runsOutAt: now,
      because: 'use',
    })),
  ]
}

/** Bottles in use, by formula where some are named. */
async function standing(db: Database, formulaIds: string[] | null, now: number): Promise<Bottle[]> {
  if (formulaIds === null) return bottleList(db, { retired: false, limit: mostBottles, after: null }, now)
  const madeOf = { association: 'madeOf', attributes: [], where: { formulaId: formulaIds } }
  const ids = await db.Bottle.findAll({ attributes: ['id'], where: { retiredAt: null }, include: [madeOf], raw: true })
  return bottlesById(
    db,
    ids.map((one) => one.id),
    now,
  )
}

/** None where no bottle of it has a count. */
function supplyRow(mine: Bottle[], rollsPerDay: number, wanted: Wanted[], { now, zone }: { now: number; zone: string }): SupplyRow[] {
  const [first] = mine
  if (!first || mine.every((bottle) => bottle.state.rollsLeft === null)) return []
  const able = mine.filter((bottle) => bottle.state.rollsLeft !== null && mayBeUsed(bottle))
  const { formulaId, name, family } = first
  const bottles = able.map(({ id, madeAt, state: { openedAt, rollsLeft, daysLeft } }) => ({
    id,
    madeAt,
    openedAt,
    rollsLeft: rollsLeft ?? 0,
    daysLeft,
  }))
  const plannedRolls = wanted.reduce((sum, one) => sum + one.rolls, 0)
  return [{ formulaId, name, family, rollsPerDay, plannedRolls, ...supplyOf(bottles, rollsPerDay, wanted, now, zone) }]
}

async function namesOf(db: Database, formulaIds: string[]): Promise<Pick<SupplyRow, 'formulaId' | 'name' | 'family'>[]> {
  if (formulaIds.length === 0) return []
  const versions = await db.FormulaVersion.findAll({ where: { formulaId: formulaIds }, order: [['number', 'asc']], raw: true })
  const newest = new Map(versions.map(({ formulaId, body }) => [formulaId, { formulaId, name: body.name, family: body.family }]))
  return [...newest.values()]
}

/**
 * Rolls of runs that are planned and not begun, by the formulas they want: wanted today, whenever they were planned. A formula that stands in two steps of a run is
 * wanted once.
 */
async function plannedRolls(db: Database, now: number): Promise<Wanted[]> {
  const baths = await db.RunBath.findAll({
    include: [
      { association: 'run', attributes: ['plannedAt'], where: { state: 'planned' } },
      { association: 'bottle', attributes: ['id'], include: [{ association: 'madeOf', attributes: ['formulaId'] }] },
    ],
  })
  const wanted = baths.map(({ runId, equivalents, run, bottle }) => {
    const formulaId = bottle?.madeOf?.formulaId ?? ''
    return [`${runId} ${formulaId}`, { formulaId, at: Math.max(run?.plannedAt ?? 0, now), rolls: equivalents }] as const
  })
  return [...new Map(wanted).values()]
}
