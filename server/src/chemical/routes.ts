import { catalogue, checkFormula, withOwn, type Formula } from '@selvrin/core'
import { api, ownChemical, type ChemicalRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { pageOf } from '../http/page'
import { notFound, Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'

const chemicals = `select c.id, c.version, c.body, coalesce(p.name, 'someone who left') as "changedBy", c.changed_at as "changedAt" from chemical c left join person p on p.id = c.changed_by`

export function chemicalRoutes(router: Router, house: House): void {
  const { db } = house
  const rowOf = (id: string, tx?: Transaction) => db.one<ChemicalRow>(`${chemicals} where c.id = $1`, [id], tx)

  route(router, house, api.chemical.list, async ({ query }) =>
    pageOf(
      await db.rows<ChemicalRow>(`${chemicals} where ($2::text is null or c.id > $2) order by c.id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.chemical.put, async ({ params, body, who, now, tx }) => {
    const before = await rowOf(params.id, tx)
    if ((before?.version ?? null) !== body.version) throw stale(before ?? null)
    // core takes it apart here once, so that nonsense does not wait for the next mix
    const sample: Formula = {
      id: 'sample',
      name: '',
      family: 'other',
      finalMl: 1000,
      startMl: 750,
      mixC: 20,
      additions: [{ chemical: params.id, grams: 1 }],
    }
    checkFormula(sample, withOwn([ownChemical({ id: params.id, body: body.body })]))
    await db.run(
      `insert into chemical (id, body, changed_by, changed_at) values ($1, $2, $3, $4)
       on conflict (id) do update set body = excluded.body, changed_by = excluded.changed_by, changed_at = excluded.changed_at, version = chemical.version + 1`,
      [params.id, JSON.stringify(body.body), who.id, new Date(now)],
      tx,
    )
    return (await rowOf(params.id, tx)) as ChemicalRow
  })

  route(router, house, api.chemical.remove, async ({ params, body, tx }) => {
    const before = await rowOf(params.id, tx)
    if (!before) throw notFound('chemical of your own')
    const used = await db.one<{ used: boolean }>(
      `select exists (select from jar where chemical = $1) or exists (select from formula_version where body -> 'additions' @> jsonb_build_array(jsonb_build_object('chemical', $1::text))) as used`,
      [params.id],
      tx,
    )
    if (used?.used && !Object.hasOwn(catalogue, params.id))
      throw new Refusal(409, 'in-use', `${before.body.name} is in a jar or a formula. Its figures can be changed, but it stays.`)
    const gone = await db.rows('delete from chemical where id = $1 and version = $2 returning id', [params.id, body.version], tx)
    if (gone.length === 0) throw stale(before)
    return { done: true as const }
  })
}
