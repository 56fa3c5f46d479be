import { asOnShelf, chemicalOf, inManner, mixtureStatements, perLitre, scaleFormula, type Catalogue, type Chemical } from '@selvrin/core'
import { printApi, yearApi } from '@selvrin/core/contract'
import type { Request } from 'express'
import { zoneOf } from '../darkroom/zone'
import { contentsOf } from '../bottle/contents'
import { bottlesById } from '../bottle/rows'
import { catalogueOf } from '../chemical/chemistry'
import { sinkOf } from '../drum/facts'
import { drumRow, drumsWhere } from '../drum/rows'
import { formulaRow } from '../formula/rows'
import { usedFormula } from '../formula/used'
import { Refusal } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import { jarsWithSums } from '../jar/queries'
import { ownOrder } from '../order/rows'
import { meOf } from '../person/rows'
import { boxRows, enlargerRow, ownSheet, paperRow, tryRows } from '../print/rows'
import { ofOwn } from '../run/own'
import { runRow } from '../run/rows'
import { pickupRow } from '../sink/pickups'
import { yearReport } from '../sink/year'
import type { Database } from '../table/database'
import { cardPdf } from './card'
import { bottleLabel, jarLabel, labelsPdf, type LabelContent } from './labels'
import { runSheetPdf } from './runSheet'
import { drumLabelPdf } from './drumLabel'
import { pickupNotePdf } from './pickupNote'
import { printSheetPdf } from './printSheet'
import { slipPdf } from './slip'
import { yearPdf } from './year'

const originOf = (request: Request): string => `${request.protocol}://${request.get('host') ?? 'localhost'}`

/** Hazard statements of what is really in a bottle, at its strength; unknown where any of it is, or its recipe. */
async function hazardsIn(db: Database, bottleId: string, catalogue: Catalogue): Promise<Pick<Chemical, 'statements'>> {
  const contents = await contentsOf(db, bottleId, catalogue)
  if (contents.additions.length === 0) return {}
  const { statements } = mixtureStatements(
    Object.entries(perLitre(contents, catalogue)).map(([id, gramsPerLitre]) => ({ chemical: chemicalOf(id, catalogue), gramsPerLitre })),
  )
  return { statements }
}

const labels: Handler<typeof printApi.labels> = async ({ db, query, who, now, request }) => {
  const manner = await meOf(db, who.id)
  const wanted = [...(query.bottles ?? []), ...(query.jars ?? [])]
  if (wanted.length === 0) throw new Refusal(422, 'nothing', 'Say which bottles or jars to print labels for.')
  const zone = await zoneOf(db)
  const bottles = await bottlesById(db, query.bottles ?? [], now)
  const jars = await jarsWithSums(db, { ids: query.jars ?? [], after: null, limit: null })
  const origin = originOf(request)
  const catalogue = await catalogueOf(db)
  const made: LabelContent[] = []
  for (const id of wanted) {
    const bottle = bottles.find((one) => one.id === id)
    const jar = jars.find((one) => one.id === id)
    if (bottle) made.push(bottleLabel(bottle, await hazardsIn(db, id, catalogue), now, zone, origin))
    else if (jar) made.push(jarLabel(jar, chemicalOf(jar.chemical, catalogue), zone, origin))
  }
  if (made.length < wanted.length)
    throw new Refusal(404, 'not-found', 'One of these bottles or jars is not there (any more). Load the page again.')
  const spoken = made.map((label) => ({ ...label, lines: label.lines.map((line) => inManner(line, manner)) }))
  return { name: 'labels.pdf', type: 'application/pdf', bytes: await labelsPdf(spoken, query.sheet, query.from) }
}

const card: Handler<typeof printApi.card> = async ({ db, params, query, who, request }) => {
  const manner = await meOf(db, who.id)
  const row = await formulaRow(db, params.id)
  const formula = usedFormula(row.id, row.body)
  const finalMl = query.ml ?? formula.finalMl
  const jars = await jarsWithSums(db, { ids: null, after: null, limit: null })
  const catalogue = await catalogueOf(db)
  const takings = asOnShelf(scaleFormula(formula, finalMl), jars, catalogue)
  const bytes = await cardPdf(row, finalMl, takings, originOf(request), catalogue, manner)
  return { name: `${row.body.name}.pdf`, type: 'application/pdf', bytes }
}

const runSheet: Handler<typeof printApi.run> = async ({ db, params, who, request }) => {
  const manner = await meOf(db, who.id)
  const run = await runRow(db, params.id)
  const taps = await db.Darkroom.findOne({ attributes: ['tapHotC', 'tapColdC', 'roomC'] })
  const { tapHotC = null, tapColdC = null, roomC = null } = taps ?? {}
  const bytes = await runSheetPdf(run, { tapHotC, tapColdC, roomC }, originOf(request), manner)
  return { name: `run ${run.number}.pdf`, type: 'application/pdf', bytes }
}

const slip: Handler<typeof printApi.order> = async ({ db, params, query, who, request }) => {
  const order = await ownOrder(db, params.id, who)
  const bytes = await slipPdf(order, query.on, { zone: await zoneOf(db), origin: originOf(request) })
  return { name: `order ${order.number}.pdf`, type: 'application/pdf', bytes }
}

const drumPaper: Handler<typeof printApi.drum> = async ({ db, params, now, request }) => {
  const drum = await drumRow(db, params.id, now)
  const of = { facts: await sinkOf(db), zone: await zoneOf(db), origin: originOf(request), catalogue: await catalogueOf(db) }
  return { name: `drum ${drum.code}.pdf`, type: 'application/pdf', bytes: await drumLabelPdf(drum, of) }
}

const pickupNote: Handler<typeof printApi.pickup> = async ({ db, params, now }) => {
  const pickup = await pickupRow(db, params.id)
  const drums = await drumsWhere(db, { pickupId: params.id }, now)
  const bytes = await pickupNotePdf(pickup, drums, { facts: await sinkOf(db), zone: await zoneOf(db), catalogue: await catalogueOf(db) })
  return { name: `collection ${pickup.number}.pdf`, type: 'application/pdf', bytes }
}

const printSheet: Handler<typeof printApi.sheet> = async ({ db, params: { id }, who, request }) => {
  const sheet = await ownSheet(db, id, who)
  const [box = null] = await boxRows(db, { id: sheet.setup.boxId })
  const paper = box ? await db.Paper.findByPk(box.paperId) : null
  const enlarger = await db.Enlarger.findByPk(sheet.setup.enlargerId)
  const facts = {
    ...{ sheet, tries: await tryRows(db, { sheetId: id }), box },
    ...{ paper: paper && paperRow(paper), enlarger: enlarger && enlargerRow(enlarger) },
  }
  const bytes = await printSheetPdf(facts, originOf(request), await meOf(db, who.id))
  return { name: `print ${sheet.number}.pdf`, type: 'application/pdf', bytes }
}

const yearPaper: Handler<typeof yearApi.paper> = async ({ db, query: { year }, now }) => {
  const report = await yearReport(db, now, year)
  const { name = '' } = (await db.Darkroom.findOne({ attributes: ['name'], raw: true })) ?? {}
  const bytes = await yearPdf(report, { darkroom: name, facts: await sinkOf(db), now })
  return { name: `sink ${report.year}.pdf`, type: 'application/pdf', bytes }
}

/** Labels, cards, sheets of runs, slips of orders and papers of drums as PDF. */
export const paperRoutes = [
  answers(printApi.drum, drumPaper),
  answers(printApi.pickup, pickupNote),
  answers(yearApi.paper, yearPaper),
  answers(printApi.order, slip),
  answers(printApi.sheet, printSheet),
  answers(printApi.labels, labels),
  answers(printApi.card, card),
  answers(printApi.run, ofOwn(runSheet)),
]
