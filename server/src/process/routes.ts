import { api } from '@selvrin/core/contract'
import { pageOf } from '../http/page'
import { answers } from '../http/route'
import { newestProcesses } from './queries'
import { processAs, processRow, processVersions } from './rows'
import { create, revise } from './writing'

export const processRoutes = [
  answers(api.process.list, async ({ db, query }) =>
    pageOf(await newestProcesses(db, { ids: null, after: query.after ?? null, limit: query.limit + 1 }), query.limit),
  ),
  answers(api.process.get, async ({ db, params }) => {
    const row = await processRow(db, params.id)
    return { ...row, versions: await processVersions(db, row) }
  }),
  answers(api.process.version, ({ db, params }) => processAs(db, params.id)),
  answers(api.process.create, create),
  answers(api.process.revise, revise),
]
