import { asOnShelf, chemicalOf, inManner, mixtureStatements, perLitre, scaleFormula, type Catalogue, type Chemical } from '@selvrin/core'
import { api, type Jar } from '@selvrin/core/contract'
import type { Request, Router } from 'express'
import { contentsOf } from '../bottle/contents'
import { bottlesById } from '../bottle/rows'
import { usedFormula } from '../formula/used'
import { catalogueOf } from '../chemical/chemistry'
import { formulaRow } from '../formula/rows'
import { Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { meOf } from '../person/rows'
import { jarRows } from '../jar/rows'
import { cardPdf } from './card'
import { bottleLabel, jarLabel, labelsPdf, type LabelContent } from './labels'

const originOf = (request: Request): string => `${request.protocol}://${request.get('host') ?? 'localhost'}`

export function printRoutes(router: Router, house: House): void {
  const { db } = house

  /** Hazard statements of what is really in a bottle, at its strength; unknown where any of it is, or its recipe. */
  async function hazardsIn(bottleId: string, catalogue: Catalogue): Promise<Pick<Chemical, 'statements'>> {
    const contents = await contentsOf(db, bottleId, catalogue)
    if (contents.additions.length === 0) return {}
    const { statements } = mixtureStatements(
      Object.entries(perLitre(contents, catalogue)).map(([id, gramsPerLitre]) => ({ chemical: chemicalOf(id, catalogue), gramsPerLitre })),
    )
    return { statements }
  }

  route(router, house, api.print.labels, async ({ query, who, now, request }) => {
    const manner = await meOf(db, who.id)
    const wanted = [...(query.bottles ?? []), ...(query.jars ?? [])]
    if (wanted.length === 0) throw new Refusal(422, 'nothing', 'Say which bottles or jars to print labels for.')
    const zone = (await db.one<{ zone: string }>('select zone from darkroom'))?.zone ?? 'UTC'
    const bottles = await bottlesById(db, query.bottles ?? [], now)
    const jars = await db.rows<Jar>(`${jarRows} where jar.id = any($1::uuid[])`, [query.jars ?? []])
    const origin = originOf(request)
    const catalogue = await catalogueOf(db)
    const labels: LabelContent[] = []
    for (const id of wanted) {
      const bottle = bottles.find((one) => one.id === id)
      const jar = jars.find((one) => one.id === id)
      if (bottle) labels.push(bottleLabel(bottle, await hazardsIn(id, catalogue), now, zone, origin))
      else if (jar) labels.push(jarLabel(jar, chemicalOf(jar.chemical, catalogue), zone, origin))
    }
    if (labels.length < wanted.length)
      throw new Refusal(404, 'not-found', 'One of these bottles or jars is not there (any more). Load the page again.')
    return {
      name: 'labels.pdf',
      type: 'application/pdf',
      bytes: await labelsPdf(
        labels.map((label) => ({ ...label, lines: label.lines.map((line) => inManner(line, manner)) })),
        query.sheet,
        query.from,
      ),
    }
  })

  route(router, house, api.print.card, async ({ params, query, who, request }) => {
    const manner = await meOf(db, who.id)
    const row = await formulaRow(db, params.id)
    const formula = usedFormula(row.id, row.body)
    const finalMl = query.ml ?? formula.finalMl
    const jars = await db.rows<Jar>(jarRows)
    const catalogue = await catalogueOf(db)
    const takings = asOnShelf(scaleFormula(formula, finalMl), jars, catalogue)
    return {
      name: `${row.body.name}.pdf`,
      type: 'application/pdf',
      bytes: await cardPdf(row, finalMl, takings, originOf(request), catalogue, manner),
    }
  })
}
