import { discardedOf } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { drumsOf } from '../bottle/waste'
import { pageOf, wordsOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { abandon, finish, takeBack, wouldTakeBack } from './ending'
import { mine } from './mine'
import { ofOwn } from './own'
import { plan } from './planning'
import { runSummaries } from './queries'
import { keepEvents, lockRun, runRow } from './rows'
import { start, wouldStart } from './starting'
import { vesselRoutes } from './vessels'

const record: Handler<typeof api.run.record> = async ({ db, params, body, who }) => {
  const run = await lockRun(db, params.id, ['running', 'done', 'abandoned'])
  const events = await keepEvents(db, run, body.events, who)
  return { kept: events.map((event) => event.id), late: events.flatMap((event) => (event.late ? [event.id] : [])) }
}

/** Each into the drum of what is really in it, or where its process says. */
const goes: Handler<typeof api.run.goes> = async ({ db, params }) => {
  const poured = discardedOf((await runRow(db, params.id)).plan)
  const found = await drumsOf(db, poured)
  return { drums: Object.fromEntries(poured.map(({ bottleId, drum }) => [bottleId, drum ?? found.get(bottleId) ?? null])) }
}

const states = { open: ['planned', 'running'], over: ['done', 'abandoned'] }

const list: Handler<typeof api.run.list> = async ({ db, query: { which, state, find, after, limit }, who }) => {
  const asked = state ? [state] : which ? states[which] : null
  const by = who.role === 'technician' ? null : who.id
  const rows = await runSummaries(db, { ids: null, states: asked, by, words: wordsOf(find), after: after ?? null, limit: limit + 1 })
  return pageOf(rows, limit)
}

export const runRoutes = [
  ...vesselRoutes,
  answers(api.run.plan, plan),
  answers(api.run.wouldStart, ofOwn(wouldStart)),
  answers(api.run.start, ofOwn(start)),
  answers(api.run.finish, ofOwn(finish)),
  answers(api.run.abandon, ofOwn(abandon)),
  answers(api.run.wouldTakeBack, wouldTakeBack),
  answers(api.run.takeBack, takeBack),
  answers(api.run.list, list),
  answers(
    api.run.get,
    ofOwn(({ db, params }) => runRow(db, params.id)),
  ),
  answers(api.permission.mine, mine),
  answers(api.run.goes, ofOwn(goes)),
  answers(api.run.record, ofOwn(record)),
]
