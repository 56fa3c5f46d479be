import { Refusal } from '../http/refusal'
import { api, type FormulaBody, type FormulaRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { pageOf } from '../http/page'
import { stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { graveFindings, requireReason } from './overrule'
import { usedFormula } from './used'
import { formulaBatches } from './batches'
import { formulaRow, formulaVersions, newestFormulas } from './rows'

export function formulaRoutes(router: Router, house: House): void {
  const { db } = house

  async function write(
    formulaId: string,
    version: { id: string; number: number; body: FormulaBody; overrule: string | undefined; before: FormulaRow | null },
    by: string,
    now: number,
    tx: Transaction | undefined,
  ): Promise<void> {
    // refuses amounts and chemicals that make no sense; what is grave wants a reason, what is merely unwise is the technician's to decide
    const catalogue = await catalogueOf(db, tx)
    const { before } = version
    const grave = graveFindings(usedFormula(formulaId, version.body), catalogue)
    const known = before?.overruled ? graveFindings(usedFormula(formulaId, before.body), catalogue) : []
    // a reason once given holds while nothing graver is said
    const carried = grave.every((one) => known.includes(one)) ? (before?.overruled ?? undefined) : undefined
    const overruled = requireReason(grave, version.overrule ?? carried, 'kept')
    await db.run(
      'insert into formula_version (id, formula_id, number, body, changed_by, changed_at, overruled) values ($1, $2, $3, $4, $5, $6, $7)',
      [version.id, formulaId, version.number, JSON.stringify(version.body), by, new Date(now), overruled],
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
    await write(body.id, { id: body.versionId, number: 1, body: body.body, overrule: body.overrule, before: null }, who.id, now, tx)
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
    const next = { id: body.versionId, number: before.number + 1, body: body.body, overrule: body.overrule, before }
    await write(params.id, next, who.id, now, tx)
    return formulaRow(db, params.id, tx)
  })

  route(router, house, api.formula.phWhy, async ({ params, body, tx }) => {
    const said = await db.rows(`update batch set ph_why = $2 where id = $1 and ph is not null returning id`, [params.id, body.reason], tx)
    if (said.length === 0) throw new Refusal(409, 'no-ph', 'That batch has no pH on record.')
    await db.run('update bottle set version = version + 1 where batch_id = $1', [params.id], tx)
    return { done: true as const }
  })
}
