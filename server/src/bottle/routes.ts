import { lifeCurve } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { formulaRow } from '../formula/rows'
import { usedFormula } from '../formula/used'
import { inOrderOf, pageOf, wordsOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { bring } from './bring'
import { wholeLedger } from './checkpoint'
import { combine } from './combine'
import { decant } from './decant'
import { makeWorkingStrength } from './dilute'
import { allLines, ledgerPage } from './ledger'
import { measure } from './measure'
import { move } from './move'
import { useOtherwise } from './ownUse'
import { moveUp, pair } from './pair'
import { pour } from './pour'
import { retiredIds } from './queries'
import { replenish } from './replenish'
import { retire } from './retire'
import { bottleById, bottleList, bottlePage, bottlesById } from './rows'
import { takeBack, wouldReverse } from './takeBack'
import { wrong } from './wrong'

const life: Handler<typeof api.bottle.life> = async ({ db, params, now }) => {
  const bottle = await bottleById(db, params.id, now)
  const { body } = await formulaRow(db, bottle.formulaId)
  return lifeCurve(usedFormula(bottle.formulaId, body, bottle.use), bottle, await wholeLedger(db, params.id), now)
}

export const bottleRoutes = [
  answers(api.bottle.list, async ({ db, query: { retired, limit, after }, now }) =>
    pageOf(await bottleList(db, { retired, limit: limit + 1, after: after ?? null }, now), limit),
  ),
  answers(api.bottle.retired, async ({ db, query: { find, limit, after }, now }) => {
    const ids = await retiredIds(db, { words: wordsOf(find), after: after ?? null, limit: limit + 1 })
    return pageOf(inOrderOf(ids, await bottlesById(db, ids, now)), limit)
  }),
  answers(api.bottle.get, ({ db, params, now }) => bottlePage(db, params.id, now)),
  answers(api.bottle.ledger, ({ db, params, query }) => ledgerPage(db, { bottleId: params.id, after: query.after ?? null })),
  answers(api.bottle.lines, async ({ db, query }) =>
    pageOf(await allLines(db, { after: query.after ?? null, limit: query.limit + 1 }), query.limit),
  ),
  answers(api.bottle.life, life),
  answers(api.bottle.bring, bring),
  answers(api.bottle.dilute, makeWorkingStrength),
  answers(api.bottle.combine, combine),
  answers(api.bottle.decant, decant),
  answers(api.bottle.pour, pour),
  answers(api.bottle.measure, measure),
  answers(api.bottle.replenish, replenish),
  answers(api.bottle.move, move),
  answers(api.bottle.pair, pair),
  answers(api.bottle.moveUp, moveUp),
  answers(api.bottle.change, useOtherwise),
  answers(api.bottle.wrong, wrong),
  answers(api.bottle.wouldReverse, wouldReverse),
  answers(api.bottle.reverse, takeBack),
  answers(api.bottle.retire, retire),
]
