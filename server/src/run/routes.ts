import { api } from '@selvrin/core/contract'
import { pageOf, wordsOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { abandon, finish, takeBack, wouldTakeBack } from './ending'
import { plan } from './planning'
import { runSummaries } from './queries'
import { keepEvents, lockRun, runRow } from './rows'
import { start, wouldStart } from './starting'
import { vesselRoutes } from './vessels'

const record: Handler<typeof api.run.record> = async ({ db, params, body, who }) => {
  const run = await lockRun(db, params.id, ['running', 'done', 'abandoned'])
  const events = await keepEvents(db, run, body.events, who.id)
  return { kept: events.map((event) => event.id), late: events.flatMap((event) => (event.late ? [event.id] : [])) }
}

const states = { open: ['planned', 'running'], over: ['done', 'abandoned'] }

const list: Handler<typeof api.run.list> = async ({ db, query: { which, state, find, after, limit } }) => {
  const asked = state ? [state] : which ? states[which] : null
  return pageOf(await runSummaries(db, { ids: null, states: asked, words: wordsOf(find), after: after ?? null, limit: limit + 1 }), limit)
}

export const runRoutes = [
  ...vesselRoutes,
  answers(api.run.plan, plan),
  answers(api.run.wouldStart, wouldStart),
  answers(api.run.start, start),
  answers(api.run.finish, finish),
  answers(api.run.abandon, abandon),
  answers(api.run.wouldTakeBack, wouldTakeBack),
  answers(api.run.takeBack, takeBack),
  answers(api.run.list, list),
  answers(api.run.get, ({ db, params }) => runRow(db, params.id)),
  answers(api.run.record, record),
]
