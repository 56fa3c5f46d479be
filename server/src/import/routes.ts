import { chemicalOf } from '@selvrin/core'
import { api, type ImportRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { graveFindings, requireReason } from '../formula/overrule'
import { usedFormula } from '../formula/used'
import { catalogueOf } from '../chemical/chemistry'
import { notFound, Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { writeChart, writeFormulas, writeJars, writeShelves, writeTanks } from './write'
import { writeBottles, writeLedger, writeTests } from './writeLedger'

interface Import {
  kind: ImportRow['kind']
  state: string
  rows: number
}

export function importRoutes(router: Router, house: House): void {
  const { db } = house

  /** An import as whoever began it goes on with it: nobody writes what someone else has laid ready. */
  async function openImport(id: string, by: string, tx: Transaction | undefined): Promise<Import> {
    const row = await db.one<Import & { by: string | null }>(
      'select kind, state, rows, by_person as by from import where id = $1 for update',
      [id],
      tx,
    )
    if (!row) throw notFound('import')
    if (row.by !== by) throw new Refusal(403, 'not-yours', 'Someone else laid this import ready. Read the file in yourself.')
    if (row.state !== 'open')
      throw new Refusal(
        409,
        'import-over',
        row.state === 'done' ? 'This import is written already.' : 'This import was cancelled. Begin it again.',
      )
    return row
  }

  route(router, house, api.import.begin, async ({ body, who, now, tx }) => {
    // what was begun and left behind is nobody's any more
    await db.run(`delete from import where state = 'open' and at < $1`, [new Date(now - 86_400_000)], tx)
    await db.run(
      'insert into import (id, kind, rows, by_person, at) values ($1, $2, $3, $4, $5)',
      [body.id, body.kind, body.rows, who.id, new Date(now)],
      tx,
    )
    return { staged: 0, rows: body.rows }
  })

  route(router, house, api.import.stage, async ({ params, body, who, tx }) => {
    const open = await openImport(params.id, who.id, tx)
    if (body.from + body.rows.length > open.rows)
      throw new Refusal(422, 'too-many-rows', `This import was begun with ${open.rows} rows, and these go beyond. Begin it again.`)
    const catalogue = await catalogueOf(db, tx)
    for (const [i, row] of body.rows.entries()) {
      if (row.kind !== open.kind) throw new Refusal(422, 'other-kind', `Row ${body.from + i + 1} is of another kind than this import.`)
      if (row.kind === 'jars') chemicalOf(row.body.chemical, catalogue)
      // a grave finding wants its reason here as it does on the formula's own page
      if (row.kind === 'formulas') requireReason(graveFindings(usedFormula(row.id, row.body), catalogue), row.overrule, 'kept')
    }
    await db.run(
      `insert into import_row (import_id, position, row) select $1, $2 + n - 1, r from jsonb_array_elements($3::jsonb) with ordinality as t(r, n)
       on conflict (import_id, position) do update set row = excluded.row`,
      [params.id, body.from, JSON.stringify(body.rows)],
      tx,
    )
    const staged = await db.one<{ count: number }>('select count(*) as count from import_row where import_id = $1', [params.id], tx)
    return { staged: staged?.count ?? 0, rows: open.rows }
  })

  route(router, house, api.import.apply, async ({ params, who, now, tx }) => {
    const open = await openImport(params.id, who.id, tx)
    const rows = (
      await db.rows<{ row: ImportRow }>('select row from import_row where import_id = $1 order by position', [params.id], tx)
    ).map((one) => one.row)
    if (rows.length !== open.rows)
      throw new Refusal(409, 'incomplete', `Only ${rows.length} of ${open.rows} rows arrived. Nothing was written; send the rest.`)
    const write = { db, by: who.id, now, tx }
    await writeFormulas(
      write,
      rows.filter((row) => row.kind === 'formulas'),
    )
    await writeShelves(
      write,
      rows.filter((row) => row.kind === 'shelves'),
    )
    await writeTanks(
      write,
      rows.filter((row) => row.kind === 'tanks'),
    )
    await writeJars(
      write,
      rows.filter((row) => row.kind === 'jars'),
    )
    await writeChart(
      write,
      rows.filter((row) => row.kind === 'chart'),
    )
    await writeBottles(
      write,
      rows.filter((row) => row.kind === 'bottles'),
    )
    const lines = await writeLedger(
      write,
      rows.filter((row) => row.kind === 'ledger'),
    )
    const tests = await writeTests(
      write,
      rows.filter((row) => row.kind === 'tests'),
    )
    const passedOver = open.kind === 'ledger' ? rows.length - lines : open.kind === 'tests' ? rows.length - tests : 0
    await db.run(`update import set state = 'done' where id = $1`, [params.id], tx)
    await db.run('delete from import_row where import_id = $1', [params.id], tx)
    return { written: rows.length - passedOver }
  })

  route(router, house, api.import.cancel, async ({ params, who, tx }) => {
    await openImport(params.id, who.id, tx)
    await db.run(`update import set state = 'cancelled' where id = $1`, [params.id], tx)
    await db.run('delete from import_row where import_id = $1', [params.id], tx)
    return { done: true as const }
  })
}
