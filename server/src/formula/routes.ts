import { Refusal } from '../http/refusal'
import { checkFormula } from '@selvrin/core'
import { api, type FormulaBody, type FormulaRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { pageOf } from '../http/page'
import { stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { formulaBatches } from './batches'
import { formulaRow, formulaVersions, newestFormulas } from './rows'

export function formulaRoutes(router: Router, house: House): void {
  const { db } = house

  async function write(
    formulaId: string,
    versionId: string,
    number: number,
    body: FormulaBody,
    by: string,
    now: number,
    tx: Transaction | undefined,
  ): Promise<void> {
    // refuses amounts and chemicals that make no sense; what is merely unwise is the technician's to decide
    checkFormula({ id: formulaId, ...body } as never, await catalogueOf(db, tx))
    await db.run(
      'insert into formula_version (id, formula_id, number, body, changed_by, changed_at) values ($1, $2, $3, $4, $5, $6)',
      [versionId, formulaId, number, JSON.stringify(body), by, new Date(now)],
      tx,
    )
  }

  route(router, house, api.formula.list, async ({ query }) =>
    pageOf(
      await db.rows<FormulaRow>(`${newestFormulas} where ($2::uuid is null or f.id > $2) order by f.id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.formula.get, async ({ params }) => ({
    ...(await formulaRow(db, params.id)),
    versions: await formulaVersions(db, params.id),
    batches: await formulaBatches(db, params.id),
  }))

  route(router, house, api.formula.create, async ({ body, who, now, tx }) => {
    await db.run('insert into formula (id) values ($1)', [body.id], tx)
    await write(body.id, body.versionId, 1, body.body, who.id, now, tx)
    return formulaRow(db, body.id, tx)
  })

  route(router, house, api.formula.revise, async ({ params, body, who, now, tx }) => {
    const locked = await db.rows(
      'update formula set version = version + 1 where id = $1 and version = $2 returning id',
      [params.id, body.version],
      tx,
    )
    const before = await formulaRow(db, params.id, tx)
    if (locked.length === 0) throw stale(before)
    await write(params.id, body.versionId, before.number + 1, body.body, who.id, now, tx)
    return formulaRow(db, params.id, tx)
  })

  route(router, house, api.formula.phWhy, async ({ params, body, tx }) => {
    const said = await db.rows(`update batch set ph_why = $2 where id = $1 and ph is not null returning id`, [params.id, body.reason], tx)
    if (said.length === 0) throw new Refusal(409, 'no-ph', 'That batch has no pH on record.')
    await db.run('update bottle set version = version + 1 where batch_id = $1', [params.id], tx)
    return { done: true as const }
  })
}
