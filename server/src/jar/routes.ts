import { api } from '@selvrin/core/contract'
import { pageOf } from '../http/page'
import { answers } from '../http/route'
import { jarsWithSums } from './queries'
import { reverseLine } from './reverse'
import { jarPage } from './rows'
import { getSheet, putSheet, removeSheet, sheetOf } from './sheet'
import { change, count, receive, writeLine } from './writing'

export const jarRoutes = [
  answers(api.jar.list, async ({ db, query }) =>
    pageOf(await jarsWithSums(db, { ids: null, after: query.after ?? null, limit: query.limit + 1 }), query.limit),
  ),
  answers(api.jar.get, ({ db, params }) => jarPage(db, params.id)),
  answers(api.jar.receive, receive),
  answers(api.jar.change, change),
  answers(api.jar.write, writeLine),
  answers(api.jar.reverse, reverseLine),
  answers(api.jar.count, count),
  answers(api.jar.putSheet, putSheet, { before: sheetOf }),
  answers(api.jar.getSheet, getSheet),
  answers(api.jar.removeSheet, removeSheet),
]
