import { api } from '@selvrin/core/contract'
import { pageOf } from '../http/page'
import { answers } from '../http/route'
import { formulaBatches } from './batches'
import { newestFormulas } from './queries'
import { formulaRow, formulaVersions } from './rows'
import { create, revise, sayWhy } from './writing'

export const formulaRoutes = [
  answers(api.formula.list, async ({ db, query }) =>
    pageOf(await newestFormulas(db, { ids: null, after: query.after ?? null, limit: query.limit + 1 }), query.limit),
  ),
  answers(api.formula.get, async ({ db, params }) => ({
    ...(await formulaRow(db, params.id)),
    versions: await formulaVersions(db, params.id),
    batches: await formulaBatches(db, params.id),
  })),
  answers(api.formula.create, create),
  answers(api.formula.revise, revise),
  answers(api.formula.phWhy, sayWhy),
]
