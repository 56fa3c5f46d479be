import { chemicalOf, mixState, type MixEvent, type MixState } from '@selvrin/core'
import type { Mix, MixSummary } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { usedFormula } from '../bottle/rows'
import type { Database } from '../database/connection'
import { notFound, Refusal } from '../http/refusal'

export const mixSummaries = `
  select m.id, m.state, v.formula_id as "formulaId", v.body ->> 'name' as "formulaName", v.body ->> 'family' as family, m.final_ml as "finalMl",
    coalesce(p.name, 'someone who left') as by, m.started_at as "startedAt"
  from mix m join formula_version v on v.id = m.formula_version_id left join person p on p.id = m.started_by`

export async function mixRow(db: Database, id: string, tx?: Transaction): Promise<Mix> {
  const summary = await db.one<MixSummary>(`${mixSummaries} where m.id = $1`, [id], tx)
  if (!summary) throw notFound('mix')
  const formula = await db.one<Mix['formula']>(
    `select v.id as "versionId", v.number, coalesce(p.name, 'someone who left') as "changedBy", v.changed_at as "changedAt", v.body
     from mix m join formula_version v on v.id = m.formula_version_id left join person p on p.id = v.changed_by where m.id = $1`,
    [id],
    tx,
  )
  const events = await db.rows<{ event: MixEvent }>('select event from mix_event where mix_id = $1 order by position', [id], tx)
  return { ...summary, formula: formula as Mix['formula'], events: events.map((row) => row.event) }
}

/** The mix with its row locked; one that is over is refused. */
export async function openMix(db: Database, id: string, tx: Transaction | undefined): Promise<Mix> {
  await db.rows('select id from mix where id = $1 for update', [id], tx)
  const mix = await mixRow(db, id, tx)
  if (mix.state !== 'open')
    throw new Refusal(409, 'mix-over', mix.state === 'done' ? 'This mix is bottled already.' : 'This mix was given up.')
  return mix
}

export const stateOf = (mix: Mix): MixState => mixState(usedFormula(mix.formulaId, mix.formula.body), mix.finalMl, mix.events)

/** g of the product in what was put in of a line: measured liquids and percent solutions in proportion to their target. */
function gramsPut(state: MixState, step: number, amount: number): number {
  const line = state.lines[step]
  if (!line || line.unit === 'g') return amount
  const density = chemicalOf(line.line.chemical.id).densityGPerMl
  return line.line.dissolved || density === undefined ? (amount * line.line.grams) / line.target : amount * density
}

/** Takes what was weighed from the jars. A jar that held more than its record said is corrected, since the powder was there. */
export async function takeFromJars(db: Database, mix: Mix, by: string, now: number, tx: Transaction | undefined): Promise<void> {
  const state = stateOf(mix)
  const perJar = new Map<string, number>()
  for (const event of mix.events)
    if (event.kind === 'weigh' && event.jarId)
      perJar.set(event.jarId, (perJar.get(event.jarId) ?? 0) + gramsPut(state, event.step, event.amount))
  const ids = [...perJar.keys()]
  if (ids.length === 0) return
  await db.rows('select id from jar where id = any($1::uuid[]) order by id for update', [ids], tx)
  const held = await db.rows<{ id: string; grams: number }>(
    'select jar_id as id, sum(grams) as grams from jar_entry where jar_id = any($1::uuid[]) group by jar_id',
    [ids],
    tx,
  )
  const lines = [...perJar].flatMap(([jarId, grams]) => {
    const lacking = grams - (held.find((jar) => jar.id === jarId)?.grams ?? 0)
    const line = (kind: string, amount: number, note: string) => ({ id: uuid(), jarId, kind, grams: amount, note })
    return [...(lacking > 0 ? [line('correct', lacking, 'held more than its record')] : []), line('consume', -grams, '')]
  })
  for (const kind of ['correct', 'consume'])
    await db.run(
      `insert into jar_entry (id, jar_id, kind, grams, note, mix_id, at, by_person)
       select l.id, l."jarId", l.kind, l.grams, l.note, $2, $3, $4 from jsonb_to_recordset($1::jsonb) as l(id uuid, "jarId" uuid, kind text, grams numeric, note text)`,
      [JSON.stringify(lines.filter((line) => line.kind === kind)), mix.id, new Date(now), by],
      tx,
    )
}
