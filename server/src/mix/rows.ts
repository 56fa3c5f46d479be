import { mixState, whatCounts, type Catalogue, type MixEvent, type MixState } from '@selvrin/core'
import type { Mix, MixSummary } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { usedFormula } from '../formula/used'
import { catalogueOf } from '../chemical/chemistry'
import type { Database } from '../database/connection'
import { notFound, Refusal } from '../http/refusal'

export const mixSummaries = `
  select m.id, m.state, v.formula_id as "formulaId", v.body ->> 'name' as "formulaName", v.body ->> 'family' as family, m.final_ml as "finalMl",
    coalesce(p.name, 'someone who left') as by, m.started_at as "startedAt"
  from mix m join formula_version v on v.id = m.formula_version_id left join person p on p.id = m.started_by`

interface EventRow {
  event: MixEvent
  by: string
  byId: string | null
}

export async function mixRow(db: Database, id: string, tx?: Transaction): Promise<Mix> {
  const summary = await db.one<MixSummary>(`${mixSummaries} where m.id = $1`, [id], tx)
  const own = await db.one<{ secondCheck: boolean; note: string; overruled: string | null }>(
    'select second_check as "secondCheck", note, overruled from mix where id = $1',
    [id],
    tx,
  )
  if (!summary || !own) throw notFound('mix')
  const formula = await db.one<Mix['formula']>(
    `select v.id as "versionId", v.number, coalesce(p.name, 'someone who left') as "changedBy", v.changed_at as "changedAt", v.overruled, v.body
     from mix m join formula_version v on v.id = m.formula_version_id left join person p on p.id = v.changed_by where m.id = $1`,
    [id],
    tx,
  )
  const rows = await eventRows(db, id, tx)
  const bottles = await db.rows<{ id: string }>(
    'select bottle.id from bottle join batch on batch.id = bottle.batch_id where batch.mix_id = $1 and bottle.from_bottle_id is null order by bottle.letter, bottle.number',
    [id],
    tx,
  )
  const mix = { ...summary, ...own, formula: formula as Mix['formula'], events: rows.map((row) => row.event) }
  const batchPh = await db.one<{ ph: number | null; celsius: number | null }>(
    'select ph, ph_celsius as celsius from batch where mix_id = $1',
    [id],
    tx,
  )
  return {
    ...mix,
    batchPh: batchPh ?? null,
    record: recordOf(stateOf(mix, await catalogueOf(db, tx)), rows),
    bottleIds: bottles.map((bottle) => bottle.id),
  }
}

export const eventRows = (db: Database, mixId: string, tx?: Transaction): Promise<EventRow[]> =>
  db.rows<EventRow>(
    `select e.event, coalesce(p.name, 'someone who left') as by, e.by_person as "byId" from mix_event e left join person p on p.id = e.by_person where e.mix_id = $1 order by e.position`,
    [mixId],
    tx,
  )

/** The mix with its row locked; one that is over is refused. */
export async function openMix(db: Database, id: string, tx: Transaction | undefined): Promise<Mix> {
  await db.rows('select id from mix where id = $1 for update', [id], tx)
  const mix = await mixRow(db, id, tx)
  if (mix.state !== 'open')
    throw new Refusal(409, 'mix-over', mix.state === 'done' ? 'This mix is bottled already.' : 'This mix was given up.')
  return mix
}

export const stateOf = (mix: Pick<Mix, 'formulaId' | 'formula' | 'finalMl' | 'events' | 'secondCheck'>, catalogue: Catalogue): MixState =>
  mixState(usedFormula(mix.formulaId, mix.formula.body), mix.finalMl, mix.events, mix.secondCheck, catalogue)

/** Line by line what was weighed of which lot, how far it may be off, by whom and who looked at it. */
function recordOf(state: MixState, rows: EventRow[]): Mix['record'] {
  const counts = new Set(whatCounts(rows.map((row) => row.event)).map((event) => event.id))
  return state.lines
    .filter((line) => line.put > 0)
    .map((line) => {
      const weighed = rows.filter(({ event }) => event.kind === 'weigh' && counts.has(event.id) && event.step === line.line.step)
      const last = weighed.at(-1)
      return {
        step: line.line.step,
        chemical: line.chemical.id,
        lot: line.lot,
        unit: line.unit,
        target: line.target,
        tolerance: line.tolerance,
        actual: line.put,
        by: [...new Set(weighed.map((row) => row.by))].join(', '),
        device: (last?.event.kind === 'weigh' && last.event.device) || null,
        checkedBy: line.checkedBy,
      }
    })
}
