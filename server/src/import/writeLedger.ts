import { judge, markOf, type Reading, type TestKind, type TestMark } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { nextLabel, newLabelCodes } from '../bottle/labels'
import { bottleById } from '../bottle/rows'
import { notFound, Refusal } from '../http/refusal'
import { freshJudgement, testMarkOf } from '../proof/judged'
import { contextOf } from '../proof/rows'
import type { Rows, Write } from './write'

/** New bottles, empty until their ledger comes; stock belongs to the batch it names, or to one of its own. */
export async function writeBottles({ db, by, tx }: Write, rows: Rows<'bottles'>): Promise<void> {
  if (rows.length === 0) return
  const wanted = rows.flatMap((row) => row.body.code ?? [])
  const kept = await db.rows<{ code: string }>(
    'insert into label_code (code) select distinct unnest($1::text[]) on conflict do nothing returning code',
    [wanted],
    tx,
  )
  const free = new Set(kept.map((one) => one.code))
  const taken = wanted.find((code) => !free.has(code))
  if (taken !== undefined) throw new Refusal(409, 'exists', `The code ${taken} is on another label here. Leave it out for a new one.`)
  const codes = await newLabelCodes(db, rows.length - wanted.length, tx)
  const formulas = await db.rows<{ id: string; versionId: string; family: string }>(
    `select f.id, v.id as "versionId", v.body ->> 'family' as family from formula f
       join lateral (select id, body from formula_version where formula_id = f.id order by number desc limit 1) v on true where f.id = any($1::uuid[])`,
    [rows.map((row) => row.body.formulaId)],
    tx,
  )
  const formulaOf = new Map(formulas.map((one) => [one.id, one]))
  const next = new Map<string, number>()
  const flat = []
  for (const { id, body } of rows) {
    const formula = formulaOf.get(body.formulaId)
    if (!formula) throw notFound('formula')
    const { letter } = markOf(formula.family)
    const number = next.get(letter) ?? (await nextLabel(db, formula.family, tx)).number
    next.set(letter, number + 1)
    const batchId = body.parts === null ? (body.batchId ?? uuid()) : null
    flat.push({ ...body, id, letter, number, code: body.code ?? codes.pop(), versionId: formula.versionId, batchId })
  }
  await db.run(
    `insert into batch (id, formula_version_id, made_at, made_by, ph, note)
     select distinct on (r."batchId") r."batchId", r."versionId", to_timestamp(r."madeAt" / 1000.0), $2, r.ph, 'imported'
     from jsonb_to_recordset($1::jsonb) as r("batchId" uuid, "versionId" uuid, "madeAt" numeric, ph numeric)
     where r."batchId" is not null order by r."batchId", r."madeAt" on conflict (id) do nothing`,
    [JSON.stringify(flat), by],
    tx,
  )
  await db.run(
    `insert into bottle (id, letter, number, code, formula_version_id, batch_id, size_ml, parts, made_at, made_by, shelf_id, own_use, retired_at, retired_why)
     select r.id, r.letter, r.number, r.code, r."versionId", r."batchId", r."sizeMl", case when jsonb_typeof(r.parts) = 'array' then array(select p::text::numeric from jsonb_array_elements(r.parts) p) end,
       to_timestamp(r."madeAt" / 1000.0), $2, r."shelfId", nullif(r."ownUse", 'null'), to_timestamp((r.retired ->> 'at')::numeric / 1000.0), r.retired ->> 'why'
     from jsonb_to_recordset($1::jsonb) as r(id uuid, letter text, number int, code text, "versionId" uuid, "batchId" uuid, "sizeMl" numeric, parts jsonb, "madeAt" numeric, "shelfId" uuid,
       "ownUse" jsonb, retired jsonb)`,
    [JSON.stringify(flat), by],
    tx,
  )
}

/** What a technician said against a failed test, as the mark it left. */
const overruling = (kind: TestKind | null, reason: string): TestMark | null =>
  kind === null
    ? null
    : { kind, verdict: 'failed', rule: 'overruled', reason, reading: null, reference: null, fixS: null, againAt: null, overruled: reason }

/**
 * Lines in the order of their time; one whose id is here already is passed over. Answers how many were written. A bottle that a line retires, and
 * that no later line brings back, is retired. A ledger that would fall below zero is refused by the database.
 */
export async function writeLedger({ db, by, tx }: Write, rows: Rows<'ledger'>): Promise<number> {
  if (rows.length === 0) return 0
  const bottleIds = [...new Set(rows.map((row) => row.body.bottleId))]
  await lockBottles(db, bottleIds, tx)
  const written = await db.rows(
    `insert into bottle_entry (id, bottle_id, kind, at, by_person, ml, rolls, paper, colour_rolls, water_in_ml, container, celsius, brings, two_bath, test, other_bottle_id, group_id, reverses, note)
     select r.id, r."bottleId", r.what, to_timestamp(r.at / 1000.0), $2, r.ml, r.rolls, r.paper, r."colourRolls", r."waterInMl", r.container, r.celsius, nullif(r.brings, 'null'),
       nullif(r."twoBath", 'null'), nullif(r.test, 'null'), r."otherBottleId", r."groupId", r.reverses, r.note
     from jsonb_to_recordset($1::jsonb) as r(id uuid, "bottleId" uuid, what text, at numeric, ml numeric, rolls numeric, paper numeric, "colourRolls" numeric, "waterInMl" numeric, container text,
       celsius numeric, brings jsonb, "twoBath" jsonb, test jsonb, "otherBottleId" uuid, "groupId" uuid, reverses uuid, note text)
     where not exists (select from bottle_entry e where e.id = r.id) order by r.at returning id`,
    [JSON.stringify(rows.map(({ id, body }) => ({ id, ...body, test: overruling(body.overrules, body.note) }))), by],
    tx,
  )
  await db.run(
    `update bottle b set retired_at = e.at, retired_why = e.note, version = version + 1
     from (select distinct on (bottle_id) bottle_id, at, note from bottle_entry e where bottle_id = any($1::uuid[]) and kind = 'retire'
       and not exists (select from bottle_entry x where x.reverses = e.id) order by bottle_id, at desc) e where b.id = e.bottle_id and b.retired_at is null`,
    [bottleIds],
    tx,
  )
  return written.length
}

/** Tests in the order of their time, judged anew against what is fresh here. Answers how many were written. */
export async function writeTests({ db, by, tx }: Write, rows: Rows<'tests'>): Promise<number> {
  if (rows.length === 0) return 0
  await lockBottles(db, [...new Set(rows.map((row) => row.body.bottleId))], tx)
  let count = 0
  for (const { id, body } of [...rows].sort((a, b) => a.body.at - b.body.at)) {
    if (await db.one('select id from proof where id = $1', [id], tx)) continue
    const bottle = await bottleById(db, body.bottleId, body.at, tx)
    const reading: Reading = {
      ...(body.look === null ? {} : { look: body.look }),
      ...(body.value === null ? {} : { value: body.value }),
      ...(body.freshBeside === null ? {} : { fresh: body.freshBeside }),
      ...(body.celsius === null ? {} : { celsius: body.celsius }),
      ...(body.slowClearing === null ? {} : { slowClearing: body.slowClearing }),
      ...(body.base === null ? {} : { base: body.base }),
      ...(body.doubtful === null ? {} : { doubtful: body.doubtful }),
      ...(body.approximate ? { approximate: true } : {}),
    }
    const context = await contextOf(db, bottle, tx)
    const fresh = body.fresh && body.value !== null && bottle.batchId !== null
    const judgement = fresh
      ? freshJudgement(body.test, reading)
      : judge(body.test, reading, { ...context, reference: context.references[body.test] ?? null })
    await db.run(
      'insert into proof (id, kind, at, by_person, bottle_id, batch_id, fresh, reading, judgement, rolls_per_l, note) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)',
      [
        id,
        body.test,
        new Date(body.at),
        by,
        bottle.id,
        bottle.batchId,
        fresh,
        JSON.stringify(reading),
        JSON.stringify(judgement),
        bottle.state.rollsPerL,
        body.note,
      ],
      tx,
    )
    await writeEntry(
      db,
      {
        id: uuid(),
        bottleId: bottle.id,
        kind: 'test',
        at: body.at,
        by,
        ml: 0,
        proofId: id,
        note: judgement.reason,
        test: testMarkOf(body.test, reading, judgement, fresh ? null : (context.references[body.test]?.from ?? null), body.at),
      },
      tx,
    )
    count++
  }
  return count
}
