import type { LiveRows } from '@selvrin/core/contract'
import { bottlesById } from '../bottle/rows'
import { shown as shownChart, withNames } from '../chart/rows'
import { shown as shownChemical, withNames as withChanger } from '../chemical/rows'
import { faultsWhere } from '../evening/faults'
import { filmsWhere } from '../film/rows'
import { shown as shownNotice } from '../film/notices'
import { newestFormulas } from '../formula/queries'
import { jarsWithSums } from '../jar/queries'
import { kitRows } from '../kit/rows'
import { summaryOf, withFormula } from '../mix/rows'
import { ordersWhere } from '../order/rows'
import { shown as shownPerson } from '../person/rows'
import { newestProcesses } from '../process/queries'
import { instrumentRows } from '../proof/queries'
import { runSummaries, vesselRows } from '../run/queries'
import { wasteRows } from '../shelf/queries'
import { suppliesOf } from '../shelf/supply'
import type { Database } from '../table/database'

/** A changed row as the lists show it; null where no list holds it any more. */
export interface Seen {
  id: string
  row: unknown
  /** whose it is, where only they and technicians hear of it; or only they */
  owner?: string | null
}
type Read = (db: Database, ids: string[], now: number) => Promise<Seen[]>

const all = { after: null, limit: null }
const seen = <T extends { id: string }>(rows: T[]): Seen[] => rows.map((row) => ({ id: row.id, row }))

/** A film that was taken back is gone for its member too. */
const films: Read = async (db, ids) => {
  const gone = await db.Roll.findAll({ attributes: ['id', 'memberId'], where: { id: ids, takenBack: true }, raw: true })
  const rows = await filmsWhere(db, { id: ids, takenBack: false })
  return [
    ...gone.map((row) => ({ id: row.id, row: null, owner: row.memberId })),
    ...rows.map((row) => ({ id: row.id, row, owner: row.memberId })),
  ]
}

/** Who planned runs, by their ids. */
async function leaders(db: Database, ids: string[]): Promise<(id: string) => string | null> {
  const rows = await db.Run.findAll({ attributes: ['id', 'plannedBy'], where: { id: ids }, raw: true })
  const by = new Map(rows.map(({ id, plannedBy }) => [id, plannedBy]))
  return (id) => by.get(id) ?? null
}

/** How rows of a subject are read as its list gives them. */
export const readers: Record<keyof LiveRows, Read> = {
  bottle: async (db, ids, now) => seen(await bottlesById(db, ids, now)),
  formula: async (db, ids) => seen(await newestFormulas(db, { ids, ...all })),
  jar: async (db, ids) => seen(await jarsWithSums(db, { ids, ...all })),
  mix: async (db, ids) => seen((await db.Mix.findAll({ ...withFormula, where: { id: ids, state: 'open' } })).map(summaryOf)),
  process: async (db, ids) => seen(await newestProcesses(db, { ids, ...all })),
  kit: async (db, ids) => seen(await kitRows(db, { id: ids })),
  run: async (db, ids) => {
    const owner = await leaders(db, ids)
    return (await runSummaries(db, { ids, states: null, by: null, words: [], ...all })).map((row) => ({
      id: row.id,
      row,
      owner: owner(row.id),
    }))
  },
  'run-event': async (db, ids) => {
    const rows = await db.RunEvent.findAll({ where: { id: ids }, raw: true })
    const owner = await leaders(
      db,
      rows.map((row) => row.runId),
    )
    return rows.map(({ id, runId, event }) => ({ id, row: { id, runId, event }, owner: owner(runId) }))
  },
  roll: films,
  order: async (db, ids) => (await ordersWhere(db, { id: ids })).map((row) => ({ id: row.id, row, owner: row.memberId })),
  fault: async (db, ids) => seen(await faultsWhere(db, { id: ids })),
  notice: async (db, ids) =>
    (await db.Notice.findAll({ where: { id: ids } })).map((row) => ({ id: row.id, row: shownNotice(row), owner: row.personId })),
  chart: async (db, ids) => seen((await db.ChartRow.findAll({ ...withNames, where: { id: ids } })).map(shownChart)),
  vessel: async (db, ids) => seen(await vesselRows(db, { ids, ...all })),
  device: async (db, ids) => seen((await db.Device.findAll({ where: { id: ids } })).map((row) => row.get())),
  chemical: async (db, ids) => seen((await db.Chemical.findAll({ ...withChanger, where: { id: ids } })).map(shownChemical)),
  shelf: async (db, ids) => seen((await db.Shelf.findAll({ where: { id: ids } })).map((row) => row.get())),
  instrument: async (db, ids) => seen(await instrumentRows(db, { ids, ...all })),
  rule: async (db, ids) => seen((await db.DueRule.findAll({ where: { id: ids } })).map((row) => row.get())),
  person: async (db, ids) => seen((await db.Person.findAll({ where: { id: ids } })).map(shownPerson)),
  waste: async (db, ids) => seen(await wasteRows(db, { ids, ...all })),
  supply: async (db, formulaIds, now) => (await suppliesOf(db, now, formulaIds)).map((row) => ({ id: row.formulaId, row })),
}
