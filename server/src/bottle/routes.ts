import { dilute, lifeCurve, pouredTogether, type Formula } from '@selvrin/core'
import { api, type LedgerLine } from '@selvrin/core/contract'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { formulaRow } from '../formula/rows'
import { usedFormula } from '../formula/used'
import { pageOf } from '../http/page'
import { notFound, Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { wholeLedger } from './checkpoint'
import { dilutedFrom, ledgerPage, lockBottles, writeEntry } from './ledger'
import { putOnShelf } from './putOnShelf'
import { contentsOf } from './contents'
import { bottleById, bottleList, bottlePage, requireUsable, requireVolume } from './rows'

/** Looking at the shelf, and what puts new bottles on it. */
export function bottleRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.bottle.list, async ({ query, now }) =>
    pageOf(await bottleList(db, { retired: query.retired, limit: query.limit + 1, after: query.after ?? null }, now), query.limit),
  )

  route(router, house, api.bottle.get, ({ params, now }) => bottlePage(db, params.id, now))

  route(router, house, api.bottle.ledger, ({ params, query }) => ledgerPage(db, params.id, query.after ?? null))

  route(router, house, api.bottle.lines, async ({ query }) =>
    pageOf(
      await db.rows<LedgerLine>(
        `select e.id, e.bottle_id as "bottleId", e.kind, e.at, coalesce(p.name, 'someone who left') as by, e.ml, e.rolls, e.paper, e.colour_rolls as "colourRolls",
           e.water_in_ml as "waterInMl", e.reverses, e.container, e.celsius, e.brings, e.two_bath as "twoBath", e.other_bottle_id as "otherBottleId",
           e.group_id as "groupId", case when e.test ->> 'overruled' is not null then e.test ->> 'kind' end as overrules, coalesce(e.test ->> 'overruled', e.note) as note
         from bottle_entry e left join person p on p.id = e.by_person
         where $2::uuid is null or e.seq > (select seq from bottle_entry where id = $2) order by e.seq limit $1`,
        [query.limit + 1, query.after ?? null],
      ),
      query.limit,
    ),
  )

  route(router, house, api.bottle.life, async ({ params, now }) => {
    const bottle = await bottleById(db, params.id, now)
    const { body } = await formulaRow(db, bottle.formulaId)
    return lifeCurve(usedFormula(bottle.formulaId, body, bottle.use), bottle, await wholeLedger(db, params.id), now)
  })

  route(router, house, api.bottle.bring, async ({ body, who, now, tx }) => {
    const formula = await formulaRow(db, body.formulaId, tx)
    if (formula.body.additions.length > 0 || formula.body.combine)
      throw new Refusal(422, 'mixed-here', `${formula.body.name} is mixed here: use the scales.`)
    await putOnShelf(
      house,
      {
        id: body.id,
        family: formula.body.family,
        formulaVersionId: formula.versionId,
        batchId: null,
        fromBottleId: null,
        sizeMl: body.sizeMl,
        ml: body.ml,
        parts: null,
        by: who.id,
        now,
      },
      tx,
    )
    return bottleById(db, body.id, now, tx)
  })

  route(router, house, api.bottle.dilute, async ({ params, body, who, now, tx }) => {
    await lockBottles(db, [params.id], tx)
    const from = await bottleById(db, params.id, now, tx)
    const why = requireUsable(from, body.overrule)
    if (from.parts !== null) throw new Refusal(422, 'already-diluted', `${from.label} is working strength already. Take a stock bottle.`)
    const [concentrateMl = 0] = dilute({ parts: body.parts, totalMl: body.totalMl })
    requireVolume(from, concentrateMl)
    const source = await db.one<{ formula_version_id: string }>('select formula_version_id from bottle where id = $1', [from.id], tx)
    if (!source) throw notFound('bottle')
    const groupId = uuid()
    await putOnShelf(
      house,
      {
        id: body.newId,
        family: from.family,
        formulaVersionId: source.formula_version_id,
        batchId: from.batchId,
        fromBottleId: from.id,
        sizeMl: body.sizeMl,
        ml: body.totalMl,
        parts: body.parts,
        by: who.id,
        now,
        brings: dilutedFrom(from.state),
        shelfId: from.shelfId,
        ownUse: from.ownUse ? from.use : null,
        groupId,
      },
      tx,
    )
    await writeEntry(
      db,
      {
        id: uuid(),
        bottleId: from.id,
        kind: 'dilute-out',
        at: now,
        by: who.id,
        ml: -concentrateMl,
        otherBottleId: body.newId,
        groupId,
        note: [`${body.parts.join('+')} to ${body.totalMl} ml`, why].filter(Boolean).join('. '),
      },
      tx,
    )
    return { from: await bottleById(db, from.id, now, tx), made: await bottleById(db, body.newId, now, tx) }
  })

  route(router, house, api.bottle.combine, async ({ body, who, now, tx }) => {
    const formula = await formulaRow(db, body.formulaId, tx)
    const wanted = formula.body.combine
    if (!wanted || wanted.length !== body.from.length || body.parts.length < body.from.length)
      throw new Refusal(422, 'not-combined', `${formula.body.name} is not poured together from that many parts.`)
    await lockBottles(db, body.from, tx)
    const volumes = dilute({ parts: body.parts, totalMl: body.totalMl })
    const poured: { formula: Formula; ml: number }[] = []
    const catalogue = await catalogueOf(db, tx)
    for (const [i, id] of body.from.entries()) {
      const bottle = await bottleById(db, id, now, tx)
      const part = wanted[i]
      const ml = volumes[i] ?? 0
      if (bottle.formulaId !== part?.formulaId)
        throw new Refusal(422, 'wrong-part', `${bottle.label} ${bottle.name} is not part ${part?.part ?? i + 1} of ${formula.body.name}.`)
      requireUsable(bottle, undefined)
      requireVolume(bottle, ml)
      poured.push({ formula: await contentsOf(db, id, catalogue, tx), ml })
    }
    const water = body.totalMl - poured.reduce((sum, one) => sum + one.ml, 0)
    const plain: Formula = { id: 'water', name: 'Water', family: 'other', finalMl: 1000, startMl: 0, mixC: 20, additions: [] }
    const meeting = pouredTogether([...poured, { formula: plain, ml: Math.max(0, water) }], catalogue)
    if (meeting) throw new Refusal(422, 'never-meets', `These are not poured together: ${meeting.danger}`)
    const groupId = uuid()
    await putOnShelf(
      house,
      {
        id: body.newId,
        family: formula.body.family,
        formulaVersionId: formula.versionId,
        batchId: null,
        fromBottleId: body.from[0] ?? null,
        sizeMl: body.sizeMl,
        ml: body.totalMl,
        parts: body.parts,
        by: who.id,
        now,
        groupId,
      },
      tx,
    )
    for (const [i, id] of body.from.entries())
      await writeEntry(
        db,
        {
          id: uuid(),
          bottleId: id,
          kind: 'dilute-out',
          at: now,
          by: who.id,
          ml: -(volumes[i] ?? 0),
          otherBottleId: body.newId,
          groupId,
          note: `part ${wanted[i]?.part ?? i + 1} of ${body.totalMl} ml ${formula.body.name}`,
        },
        tx,
      )
    return bottleById(db, body.newId, now, tx)
  })
}
