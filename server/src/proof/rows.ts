import { fixerClassOf, type Reference, type TestKind } from '@selvrin/core'
import type { Bottle, Instrument, Proof, ProofContext } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { contentsOf } from '../bottle/contents'
import { catalogueOf } from '../chemical/chemistry'
import { notFound } from '../http/refusal'

const proofRows = `
  select f.id, f.kind, f.at, coalesce(p.name, 'someone who left') as by, f.bottle_id as "bottleId", b.letter || b.number as "bottleLabel", f.batch_id as "batchId", f.roll_id as "rollId",
    o.film, f.instrument_id as "instrumentId", i.name as instrument, f.fresh, f.reading, f.judgement, f.rolls_per_l as "rollsPerL", (t.proof_id is not null) as picture, f.note,
    not exists (select from standing_proof s where s.id = f.id) as "takenBack"
  from proof f left join person p on p.id = f.by_person left join bottle b on b.id = f.bottle_id left join roll o on o.id = f.roll_id
    left join instrument i on i.id = f.instrument_id left join proof_picture t on t.proof_id = f.id`

/** Tests newest first; of one bottle, or of everything. */
export const proofsOf = (
  db: Database,
  ask: { bottleId: string | null; limit: number; after: string | null },
  tx?: Transaction,
): Promise<Proof[]> =>
  db.rows<Proof>(
    `${proofRows} where f.kind <> 'control-strip' and ($1::uuid is null or f.bottle_id = $1) and ($2::uuid is null or (f.at, f.id) < (select at, id from proof where id = $2))
     order by f.at desc, f.id desc limit $3`,
    [ask.bottleId, ask.after, ask.limit],
    tx,
  )

export async function proofRow(db: Database, id: string, tx?: Transaction): Promise<Proof> {
  const row = await db.one<Proof>(`${proofRows} where f.id = $1`, [id], tx)
  if (!row) throw notFound('test')
  return row
}

interface FreshRow {
  kind: TestKind
  value: number
  celsius: number | null
  slowClearing: boolean | null
  own: boolean
}

/** What each kind of test of a bottle is held against: its batch's fresh reading, or the mean of the formula's other fresh batches. */
export async function referencesOf(db: Database, bottle: Bottle, tx?: Transaction): Promise<Partial<Record<TestKind, Reference>>> {
  const fresh = await db.rows<FreshRow>(
    `select f.kind, (f.reading ->> 'value')::numeric as value, (f.reading ->> 'celsius')::numeric as celsius,
       (f.reading ->> 'slowClearing')::boolean as "slowClearing", f.batch_id is not distinct from $2 as own
     from standing_proof f join batch t on t.id = f.batch_id join formula_version v on v.id = t.formula_version_id left join bottle b on b.id = f.bottle_id
     where f.fresh and f.reading ? 'value' and v.formula_id = $1 and b.parts is not distinct from $3::numeric[] order by f.at desc`,
    [bottle.formulaId, bottle.batchId, bottle.parts],
    tx,
  )
  const ph = await db.one<{ ph: number | null; celsius: number | null }>(
    'select ph, ph_celsius as celsius from batch where id = $1',
    [bottle.batchId],
    tx,
  )
  const references: Partial<Record<TestKind, Reference>> = {}
  for (const kind of new Set(fresh.map((one) => one.kind))) {
    const mine = fresh.filter((one) => one.kind === kind)
    const own = mine.find((one) => one.own)
    const mean = mine.reduce((sum, one) => sum + one.value, 0) / mine.length
    references[kind] = own
      ? { value: own.value, celsius: own.celsius, slowClearing: own.slowClearing, from: 'batch' }
      : { value: mean, celsius: sameTemperature(mine), slowClearing: null, from: 'formula' }
  }
  // the closing check of the mix is the fresh reading of the pH, of stock only
  if (ph?.ph != null && bottle.parts === null)
    for (const kind of ['developer-ph', 'fixer-ph'] as const)
      if (references[kind]?.from !== 'batch') references[kind] = { value: ph.ph, celsius: ph.celsius, from: 'batch' }
  return references
}

const sameTemperature = (rows: FreshRow[]): number | null => {
  const known = rows.flatMap((one) => one.celsius ?? [])
  return known.length === rows.length && Math.max(...known) - Math.min(...known) <= 1
    ? known.reduce((sum, c) => sum + c, 0) / known.length
    : null
}

/** All a test of this bottle is judged with. */
export async function contextOf(db: Database, bottle: Bottle, tx?: Transaction): Promise<Omit<ProofContext, 'proofs'>> {
  const references = await referencesOf(db, bottle, tx)
  // of the version it was mixed from, and by what was weighed for it
  const catalogue = await catalogueOf(db, tx)
  const contents = await contentsOf(db, bottle.id, catalogue, tx)
  const hardening = contents.additions.some((line) => catalogue[line.chemical]?.natures.includes('alum'))
  const freshPh = references['fixer-ph']?.value
  return {
    references,
    silverLimitGPerL: bottle.state.silverLimitGPerL,
    hardening,
    fixerClass: freshPh === undefined ? null : fixerClassOf(freshPh, hardening),
    usualS: bottle.usualS,
  }
}

const instrumentRows = `
  select i.id, i.version, i.kind, i.name, i.device_id as "deviceId", i.points, i.safe_minutes as "safeMinutes", i.tested_at as "testedAt", i.reference, i.limits,
    coalesce((select jsonb_agg(jsonb_build_object('id', f.id, 'at', (extract(epoch from f.at) * 1000)::bigint, 'by', coalesce(p.name, 'someone who left'), 'strip', f.reading,
      'batchId', f.batch_id, 'good', f.good) order by f.at, f.id) from (select * from standing_proof where instrument_id = i.id and kind = 'control-strip' order by at desc, id desc limit 60) f
      left join person p on p.id = f.by_person), '[]'::jsonb) as strips
  from instrument i`

export const instrumentsOf = (db: Database, ask: { limit: number; after: string | null }): Promise<Instrument[]> =>
  db.rows<Instrument>(`${instrumentRows} where ($2::uuid is null or i.id > $2) order by i.id limit $1`, [ask.limit, ask.after])

export async function instrumentRow(db: Database, id: string, tx?: Transaction): Promise<Instrument> {
  const row = await db.one<Instrument>(`${instrumentRows} where i.id = $1`, [id], tx)
  if (!row) throw notFound('instrument')
  return row
}
