import { judge, type Reading } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { nextLabel, newLabelCode } from '../bottle/labels'
import { bottleById } from '../bottle/rows'
import { formulaRow } from '../formula/rows'
import { Refusal } from '../http/refusal'
import type { House } from '../http/route'
import { freshJudgement, testMarkOf } from '../proof/judged'
import { contextOf } from '../proof/rows'
import type { Rows, Write } from './write'

/** New bottles, empty until their ledger comes, each with a batch of its own where it is stock. */
export async function writeBottles({ db }: House, { by, tx }: Write, rows: Rows<'bottles'>): Promise<void> {
  for (const { id, body } of rows) {
    const formula = await formulaRow(db, body.formulaId, tx)
    const { letter, number } = await nextLabel(db, formula.body.family, tx)
    if (body.code !== null) {
      const taken = await db.rows('insert into label_code (code) values ($1) on conflict do nothing returning code', [body.code], tx)
      if (taken.length === 0)
        throw new Refusal(409, 'exists', `The code ${body.code} is on another label here. Leave it out for a new one.`)
    }
    const batchId = body.parts === null ? uuid() : null
    if (batchId !== null)
      await db.run(
        'insert into batch (id, formula_version_id, made_at, made_by, note) values ($1, $2, $3, $4, $5)',
        [batchId, formula.versionId, new Date(body.madeAt), by, 'imported'],
        tx,
      )
    await db.run(
      'insert into bottle (id, letter, number, code, formula_version_id, batch_id, size_ml, parts, made_at, made_by, shelf_id) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)',
      [
        id,
        letter,
        number,
        body.code ?? (await newLabelCode(db, tx)),
        formula.versionId,
        batchId,
        body.sizeMl,
        body.parts,
        new Date(body.madeAt),
        by,
        body.shelfId,
      ],
      tx,
    )
  }
}

/** Lines in the order of their time; one whose id is here already is passed over. Answers how many were written. A ledger that would fall below zero is refused by the database. */
export async function writeLedger({ db, by, tx }: Write, rows: Rows<'ledger'>): Promise<number> {
  if (rows.length === 0) return 0
  await lockBottles(db, [...new Set(rows.map((row) => row.body.bottleId))], tx)
  const written = await db.rows(
    `insert into bottle_entry (id, bottle_id, kind, at, by_person, ml, rolls, paper, colour_rolls, water_in_ml, reverses, note)
     select r.id, r."bottleId", r.what, to_timestamp(r.at / 1000.0), $2, r.ml, r.rolls, r.paper, r."colourRolls", r."waterInMl", r.reverses, r.note
     from jsonb_to_recordset($1::jsonb) as r(id uuid, "bottleId" uuid, what text, at numeric, ml numeric, rolls numeric, paper numeric, "colourRolls" numeric, "waterInMl" numeric, reverses uuid, note text)
     where not exists (select from bottle_entry e where e.id = r.id) order by r.at returning id`,
    [JSON.stringify(rows.map(({ id, body }) => ({ id, ...body }))), by],
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
      ...(body.celsius === null ? {} : { celsius: body.celsius }),
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
        test: testMarkOf(body.test, reading, judgement, body.at),
      },
      tx,
    )
    count++
  }
  return count
}
