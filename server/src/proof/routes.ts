import { api } from '@selvrin/core/contract'
import { bottleById } from '../bottle/rows'
import { pageOf } from '../http/page'
import { notFound } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import { capacity } from './capacity'
import { contextOf, proofsOf } from './rows'
import { takeBack } from './takeBack'
import { overrule, pictureOf, writeTest } from './writing'

const context: Handler<typeof api.proof.context> = async ({ db, params, now }) => {
  const bottle = await bottleById(db, params.id, now)
  return { ...(await contextOf(db, bottle)), proofs: await proofsOf(db, { bottleId: bottle.id, limit: 100, after: null }) }
}

const picture: Handler<typeof api.proof.picture> = async ({ db, params }) => {
  const found = await db.ProofPicture.findByPk(params.id)
  if (!found) throw notFound('picture')
  return found.get()
}

/** Tests of bottles and films, and what they say of a formula's capacity. */
export const proofRoutes = [
  answers(api.proof.list, async ({ db, query: { bottleId, limit, after } }) =>
    pageOf(await proofsOf(db, { bottleId: bottleId ?? null, limit: limit + 1, after: after ?? null }), limit),
  ),
  answers(api.proof.takeBack, takeBack),
  answers(api.proof.context, context),
  answers(api.proof.write, writeTest, { before: pictureOf }),
  answers(api.proof.overrule, overrule),
  answers(api.proof.picture, picture),
  answers(api.proof.capacity, capacity),
]
