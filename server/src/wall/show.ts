import { developingTime, DomainError, filmDryAt, mayBeUsed, readPlan } from '@selvrin/core'
import type { Bottle, Wall, wallApi } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { bottleList } from '../bottle/rows'
import { filmsWhere } from '../film/rows'
import { nameOf, withName } from '../house/left'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { requireKey } from './keys'

/** a reading of the bath is taken for the developer's as long as it is so old, ms */
const freshMs = 15 * 60_000
/** °C most times of the chart are for */
const usualC = 20
/** loads that are shown as next */
const nextShown = 4
const wholeShelf = { retired: false, limit: null as unknown as number, after: null }

/** baths a film goes through that are shown while no evening says which */
const usual = ['film-developer', 'stop-bath', 'fixer']
/** Bottles the next evening wants, or a run has in hand; without any, those film usually goes through. */
function inUse(bottles: Bottle[]): Bottle[] {
  const full = bottles.filter((bottle) => bottle.state.volumeMl > 0)
  const tonight = full.filter(({ evening, reserved }) => evening != null || (reserved?.runs.length ?? 0) > 0)
  return tonight.length > 0 ? tonight : full.filter((bottle) => usual.includes(bottle.family))
}

const jugsOf = (bottles: Bottle[]): Wall['jugs'] =>
  bottles.map(({ label, name, family, state, due }) => ({
    ...{
      label,
      name,
      family,
      volumeMl: state.volumeMl,
      due: due.map((one) => one.name),
      left: Math.max(0, 1 - state.used),
      ageDays: state.ageDays,
    },
  }))

/** The newest reading of a tempering bath that stands near where film is developed. */
async function readingOf(db: Database, now: number): Promise<{ c: number; by: string; at: number } | null> {
  const row = await db.BathReading.findOne({ where: { at: { [Op.gte]: now - freshMs } }, order: [['at', 'desc']], raw: true })
  if (!row) return null
  const device = await db.Device.findByPk(row.deviceId, { attributes: ['name'], raw: true })
  return { c: row.c, by: device?.name ?? '', at: row.at }
}

/** Times tonight of films that wait, in what stands on the shelf; at the temperature that was read where the chart can say, else at its own. */
async function timesOf(db: Database, bottles: Bottle[], readC: number | null): Promise<Wall['times']> {
  const orders = await db.FilmOrder.findAll({ attributes: ['film', 'ei'], where: { state: ['waiting', 'planned'] }, raw: true })
  const films = [...new Map(orders.map(({ film, ei }) => [`${film} ${ei}`, { film, ei }])).values()]
  const developers = new Map(bottles.filter((one) => one.family === 'film-developer' && mayBeUsed(one)).map((one) => [one.formulaId, one]))
  if (films.length === 0 || developers.size === 0) return []
  const rows = await db.ChartRow.findAll({
    where: { film: films.map((one) => one.film), formulaId: [...developers.keys()] },
    order: ['film', 'ei'],
    raw: true,
  })
  const groups = new Map<string, typeof rows>()
  for (const row of rows) {
    if (!films.some((one) => one.film === row.film && one.ei === row.ei)) continue
    const key = JSON.stringify([row.film, row.ei, row.formulaId, row.parts, row.source])
    groups.set(key, [...(groups.get(key) ?? []), row])
  }
  return [...groups.values()].flatMap((group) => {
    // its own temperature is the one nearest to the usual
    const [first] = group.sort((a, b) => Math.abs(a.temperatureC - usualC) - Math.abs(b.temperatureC - usualC))
    const bottle = first && developers.get(first.formulaId)
    if (!first || !bottle) return []
    const chart = group.map(({ temperatureC, seconds }) => ({ temperatureC, seconds }))
    const k = bottle.temperatureCoefficient
    const at = (temperatureC: number): number => developingTime({ chart, temperatureC, ...(k === null ? {} : { k }) }).seconds
    const told = { film: first.film, ei: first.ei, developer: bottle.name, parts: first.parts }
    try {
      const temperatureC = readC ?? first.temperatureC
      return [{ ...told, seconds: Math.round(at(temperatureC)), temperatureC }]
    } catch (error) {
      if (!(error instanceof DomainError)) throw error
      return [{ ...told, seconds: first.seconds, temperatureC: first.temperatureC }]
    }
  })
}

async function runsOf(db: Database): Promise<Wall['runs']> {
  const rows = await db.Run.findAll({
    where: { state: 'running' },
    order: ['number'],
    include: [{ association: 'rolls', include: [withName('member')] }],
  })
  return Promise.all(
    rows.map(async ({ id, number, plan, rolls }) => {
      const events = await db.RunEvent.findAll({ attributes: ['event'], where: { runId: id }, order: [['at', 'asc']], raw: true })
      const read = readPlan(plan)
      const owners = [...new Set((rolls ?? []).map((roll) => nameOf(roll.member)))]
      return { number, vessel: read.vessel.name, owners, plan: read, events: events.map((one) => one.event) }
    }),
  )
}

/** Loads of the evening that is on or next which are no run yet, in the order in which they begin. */
async function nextOf(db: Database, now: number): Promise<Wall['next']> {
  const evening = await db.Evening.findOne({ where: { closesAt: { [Op.gt]: now } }, order: ['opensAt'], raw: true })
  if (!evening) return []
  const { loads } = evening.body
  const begun = await db.Run.findAll({
    attributes: ['id'],
    where: { id: loads.map((load) => load.id), state: ['running', 'done'] },
    raw: true,
  })
  const coming = loads
    .flatMap((load) => (load.place && !begun.some((run) => run.id === load.id) ? [{ load, place: load.place }] : []))
    .sort((a, b) => a.place.startAt - b.place.startAt)
    .slice(0, nextShown)
  const orders = await db.FilmOrder.findAll({
    where: { id: coming.flatMap(({ load }) => load.orders) },
    include: [withName('member')],
  })
  const vessels = await db.Vessel.findAll({ attributes: ['id', 'name'], raw: true })
  const owner = new Map(orders.map((order) => [order.id, nameOf(order.member)]))
  return coming.map(({ load, place }) => ({
    owners: [...new Set(load.orders.map((id) => owner.get(id) ?? ''))],
    what: [...new Set(load.request.films.map((film) => film.film))].join(', '),
    vessel: vessels.find((one) => one.id === place.vesselId)?.name ?? '',
    at: place.startAt,
  }))
}

async function hangingOf(db: Database): Promise<Wall['hanging']> {
  const films = await filmsWhere(db, { hanger: { [Op.ne]: null }, takenBack: false })
  return films.map(({ member, hanger, hungAt, dryer }) => ({ owner: member, hanger, dryAt: filmDryAt(hungAt ?? 0, dryer ?? 'air') }))
}

/** All of it, for whoever has a key. */
export const showWall: Handler<typeof wallApi.show> = async ({ db, params, now }) => {
  await requireKey(db, params.token)
  const darkroom = await db.Darkroom.findOne({ attributes: ['name', 'zone'], raw: true })
  const bottles = inUse(await bottleList(db, wholeShelf, now))
  const read = await readingOf(db, now)
  const times = await timesOf(db, bottles, read?.c ?? null)
  return {
    ...{ now, darkroom: darkroom?.name ?? '', zone: darkroom?.zone ?? 'UTC', jugs: jugsOf(bottles), times },
    measured: read && times.some((one) => one.temperatureC === read.c) ? { by: read.by, at: read.at } : null,
    ...{ runs: await runsOf(db), next: await nextOf(db, now), hanging: await hangingOf(db) },
  }
}
