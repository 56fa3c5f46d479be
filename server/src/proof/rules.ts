import { guideOf, testsFor } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { asSeen, saveSeen } from '../http/changing'
import { byId, pageOf } from '../http/page'
import { notFound, Refusal } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'

async function ruleOf(db: Database, id: string) {
  const rule = await db.DueRule.findByPk(id)
  if (!rule) throw notFound('rule')
  return rule.get()
}

const add: Handler<typeof api.proof.addRule> = async ({ db, body }) => {
  if (!testsFor(body.family).some((guide) => guide.kind === body.kind))
    throw new Refusal(422, 'wrong-test', `${guideOf(body.kind).name} is no test of that family of baths.`, { field: 'kind' })
  return (await db.DueRule.create(body)).get()
}

const change: Handler<typeof api.proof.changeRule> = async ({ db, params: { id }, body: { version, ...facts } }) => {
  await saveSeen(asSeen(db.DueRule, { id, version }).set(facts), version, () => ruleOf(db, id))
  return ruleOf(db, id)
}

/** When tests fall due. */
export const ruleRoutes = [
  answers(api.proof.rules, async ({ db, query }) =>
    pageOf(
      (await db.DueRule.findAll(byId(query))).map((rule) => rule.get()),
      query.limit,
    ),
  ),
  answers(api.proof.addRule, add),
  answers(api.proof.changeRule, change),
]
