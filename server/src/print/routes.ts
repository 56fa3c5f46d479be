import { asOnShelf, chemicalOf, scaleFormula } from '@selvrin/core'
import { api, type Jar } from '@selvrin/core/contract'
import type { Request, Router } from 'express'
import { bottlesById } from '../bottle/rows'
import { usedFormula } from '../formula/used'
import { catalogueOf } from '../chemical/chemistry'
import { formulaRow } from '../formula/rows'
import { Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { jarRows } from '../jar/rows'
import { cardPdf } from './card'
import { bottleLabel, jarLabel, labelsPdf } from './labels'

const originOf = (request: Request): string => `${request.protocol}://${request.get('host') ?? 'localhost'}`

export function printRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.print.labels, async ({ query, now, request }) => {
    const wanted = [...(query.bottles ?? []), ...(query.jars ?? [])]
    if (wanted.length === 0) throw new Refusal(422, 'nothing', 'Say which bottles or jars to print labels for.')
    const zone = (await db.one<{ zone: string }>('select zone from darkroom'))?.zone ?? 'UTC'
    const bottles = await bottlesById(db, query.bottles ?? [], now)
    const jars = await db.rows<Jar>(`${jarRows} where jar.id = any($1::uuid[])`, [query.jars ?? []])
    const bodies = await db.rows<{ id: string; chemicals: string[] }>(
      `select b.id, coalesce((select array_agg(a ->> 'chemical') from jsonb_array_elements(v.body -> 'additions') a), '{}') as chemicals
       from bottle b join formula_version v on v.id = b.formula_version_id where b.id = any($1::uuid[])`,
      [query.bottles ?? []],
    )
    const origin = originOf(request)
    const catalogue = await catalogueOf(db)
    const labels = wanted.flatMap((id) => {
      const bottle = bottles.find((one) => one.id === id)
      if (bottle)
        return [
          bottleLabel(
            bottle,
            (bodies.find((one) => one.id === id)?.chemicals ?? []).map((one) => chemicalOf(one, catalogue)),
            zone,
            origin,
          ),
        ]
      const jar = jars.find((one) => one.id === id)
      return jar ? [jarLabel(jar, chemicalOf(jar.chemical, catalogue), zone, origin)] : []
    })
    if (labels.length < wanted.length)
      throw new Refusal(404, 'not-found', 'One of these bottles or jars is not there (any more). Load the page again.')
    return { name: 'labels.pdf', type: 'application/pdf', bytes: await labelsPdf(labels, query.sheet, query.from) }
  })

  route(router, house, api.print.card, async ({ params, query, request }) => {
    const row = await formulaRow(db, params.id)
    const formula = usedFormula(row.id, row.body)
    const finalMl = query.ml ?? formula.finalMl
    const jars = await db.rows<Jar>(jarRows)
    const catalogue = await catalogueOf(db)
    const takings = asOnShelf(scaleFormula(formula, finalMl), jars, catalogue)
    return {
      name: `${row.body.name}.pdf`,
      type: 'application/pdf',
      bytes: await cardPdf(row, finalMl, takings, originOf(request), catalogue),
    }
  })
}
