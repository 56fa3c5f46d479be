import { drumFindings, drumState, recoveryBalance, type DrumFacts, type DrumLine, type DrumState } from '@selvrin/core'
import type { WasteDrum } from '@selvrin/core/contract'
import type { WhereOptions } from 'sequelize'
import { zoneOf } from '../darkroom/zone'
import { notFound } from '../house/refusal'
import type { Database, Row } from '../table/database'
import { sinkOf } from './facts'

export const factsOf = (row: Row<'Drum'>): DrumFacts => ({
  ...{ id: row.id, code: row.code, family: row.family, metal: row.metal, volumeMl: row.volumeMl, tareKg: row.tareKg },
  ...{ vented: row.vented, trayId: row.trayId, labelledAt: row.labelledAt, sealedAt: row.sealedAt, collectedAt: row.collectedAt },
  ...{ quarantinedAt: row.quarantinedAt, quarantinedWhy: row.quarantinedWhy },
})

/** Lines of drums, the first first, by the drum they are of. */
export async function linesOf(db: Database, drumIds: string[]): Promise<Map<string, DrumLine[]>> {
  const rows = await db.DrumEntry.findAll({ where: { drumId: drumIds }, order: ['seq'], raw: true })
  const of = new Map<string, DrumLine[]>(drumIds.map((id) => [id, []]))
  for (const { drumId, ...row } of rows)
    of.get(drumId)?.push({
      ...{ id: row.id, at: row.at, kind: row.kind, ml: row.ml, gPerMl: row.gPerMl, silverG: row.silverG, family: row.family },
      ...{ source: row.source, contents: row.contents, ph: row.ph, readingKg: row.readingKg, reverses: row.reverses },
    })
  return of
}

/** A drum with its facts and what it holds. */
export interface Standing {
  row: Row<'Drum'>
  facts: DrumFacts
  lines: DrumLine[]
  state: DrumState
}

/** g of silver that recoveries took out of drums, by their ids. */
async function takenOut(db: Database, drumIds: string[]): Promise<Map<string, number>> {
  const rows = await db.Recovery.findAll({ where: { drumId: drumIds }, raw: true })
  const back = new Set(rows.flatMap((row) => row.reverses ?? []))
  const taken = new Map<string, number>()
  for (const { id, drumId, body, reverses } of rows)
    if (drumId !== null && reverses === null && !back.has(id)) taken.set(drumId, (taken.get(drumId) ?? 0) + recoveryBalance(body).leftG)
  return taken
}

export async function standingWhere(db: Database, where: WhereOptions): Promise<Standing[]> {
  const rows = await db.Drum.findAll({ where, order: ['family', 'madeAt', 'id'] })
  const ids = rows.map((row) => row.id)
  const [lines, taken] = [await linesOf(db, ids), await takenOut(db, ids)]
  return rows.map((row) => {
    const [facts, own] = [factsOf(row), lines.get(row.id) ?? []]
    const state = drumState(facts, own)
    return { row, facts, lines: own, state: { ...state, silverG: Math.max(0, state.silverG - (taken.get(row.id) ?? 0)) } }
  })
}

/** Drums as they are told, with what is to be said of each. */
export async function drumsWhere(db: Database, where: WhereOptions, now: number): Promise<WasteDrum[]> {
  const [facts, zone] = [await sinkOf(db), await zoneOf(db)]
  const all = await standingWhere(db, where)
  const inTrays = await db.Drum.findAll({ attributes: ['code', 'family', 'volumeMl', 'trayId'], where: { collectedAt: null }, raw: true })
  return all.map(({ row, facts: own, state }) => {
    const tray = facts.trays.find((one) => one.id === row.trayId)
    const findings = drumFindings(own, state, {
      ...{ now, zone, adviceDays: facts.adviceDays, warnDays: facts.warnDays },
      tray: tray ? { ...tray, drums: inTrays.filter((one) => one.trayId === tray.id) } : null,
    })
    return { ...own, version: row.version, pickupId: row.pickupId, collectedKg: row.collectedKg, state, findings }
  })
}

export async function drumRow(db: Database, id: string, now: number): Promise<WasteDrum> {
  const [drum] = await drumsWhere(db, { id }, now)
  if (!drum) throw notFound('drum')
  return drum
}
