import { api } from '@selvrin/core/contract'
import { byId, pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { check, checkerOf } from './checking'
import { abandon, finish, putRightPh } from './ending'
import { record } from './recording'
import { mixRow, summaryOf, withFormula } from './rows'
import { start } from './starting'

const listOpen: Handler<typeof api.mix.list> = async ({ db, query }) => {
  const { where, ...rest } = byId(query, 'desc')
  const rows = await db.Mix.findAll({ ...withFormula, where: { ...where, state: 'open' }, ...rest })
  return pageOf(rows.map(summaryOf), query.limit)
}

export const mixRoutes = [
  answers(api.mix.list, listOpen),
  answers(api.mix.get, ({ db, params }) => mixRow(db, params.id)),
  answers(api.mix.start, start),
  answers(api.mix.record, record),
  answers(api.mix.check, check, { before: checkerOf }),
  answers(api.mix.finish, finish),
  answers(api.mix.putRightPh, putRightPh),
  answers(api.mix.abandon, abandon),
]
