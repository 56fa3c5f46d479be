import {
  drumState,
  metalOf,
  requirePour,
  usualGPerMl,
  type DrumKnown,
  type DrumLine,
  type DrumSource,
  type Held,
  type Liquid,
  type WasteFamily,
} from '@selvrin/core'
import { Op } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'
import { sinkOf } from './facts'
import { factsOf, linesOf, standingWhere } from './rows'

/** Liquid that goes into a drum as one line. */
export interface Portion {
  entryId: string
  family: WasteFamily
  ml: number
  silverG: number
  contents: Held[] | null
  source: DrumSource
  /** the line of what was poured away that it is */
  wasteId: string | null
  metal: string | null
  note: string
}

/** What went through a funnel last, unless it was rinsed since. */
export async function lastThrough(db: Database, funnelId: string, rinsedAt: number): Promise<Liquid | null> {
  const last = await db.DrumEntry.findOne({
    where: { funnelId, kind: 'pour', at: { [Op.gt]: rinsedAt } },
    order: [['seq', 'desc']],
    raw: true,
  })
  return last && { family: last.family, ml: last.ml, contents: last.contents }
}

async function funnelOf(db: Database, id: string | null): Promise<DrumKnown['funnel']> {
  if (id === null) return null
  const funnel = await db.Funnel.findByPk(id, { raw: true })
  if (!funnel) throw notFound('funnel')
  const liquid = await lastThrough(db, id, funnel.rinsedAt)
  return liquid && { name: funnel.name, liquid }
}

async function neighboursOf(db: Database, { id, trayId }: { id: string; trayId: string | null }): Promise<DrumKnown['neighbours']> {
  if (trayId === null) return []
  const beside = await standingWhere(db, { trayId, collectedAt: null, id: { [Op.ne]: id } })
  return beside.map(({ facts, state }) => ({ code: facts.code, liquid: { family: facts.family, ml: state.ml, contents: state.contents } }))
}

/** Pours into a drum, all or nothing: what may not be is refused with what would come of it. The drum is locked until the end of the transaction. */
export async function pourInto(
  db: Database,
  drumId: string,
  portions: Portion[],
  { ph = null, funnelId = null, by, now }: { ph?: number | null; funnelId?: string | null; by: string; now: number },
): Promise<void> {
  const row = await db.Drum.findByPk(drumId, { lock: true })
  if (!row) throw notFound('drum')
  const facts = factsOf(row)
  const lines = (await linesOf(db, [drumId])).get(drumId) ?? []
  const { roomM3 } = await sinkOf(db)
  const known: DrumKnown = {
    ...{ neighbours: await neighboursOf(db, row), funnel: await funnelOf(db, funnelId), roomM3 },
    catalogue: await catalogueOf(db),
  }
  for (const portion of portions) {
    const { entryId, family, ml, silverG, contents, source, wasteId, note } = portion
    const metal = portion.metal ?? metalOf(contents) ?? facts.metal
    requirePour(facts, drumState(facts, lines), { family, ml, contents, metal }, known)
    const line: DrumLine = {
      ...{ id: entryId, at: now, kind: 'pour', ml, gPerMl: usualGPerMl, silverG, family, source, contents, ph },
      ...{ readingKg: null, reverses: null },
    }
    await db.DrumEntry.create({ ...line, drumId, byPerson: by, wasteId, funnelId, note })
    lines.push(line)
  }
}
