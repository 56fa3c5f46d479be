import { api, eveningApi } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { beginLoad } from './begin'
import { changeEvening, planEvening, sendLoad, undoEvening } from './changing'
import { closeFault, judgeFault, listFaults, reportFault } from './faults'
import { changeRoom, getRoom } from './roomFacts'
import { eveningPage, eveningSummaries } from './rows'
import { tick } from './ticking'

const list: Handler<typeof eveningApi.list> = async ({ db, query: { after, limit } }) => {
  const before = after === undefined ? null : await db.Evening.findByPk(after, { attributes: ['opensAt'], raw: true })
  return pageOf(await eveningSummaries(db, before ? { opensAt: { [Op.lt]: before.opensAt } } : {}, limit + 1), limit)
}

/** The room, what is out of order in it, and its evenings. */
export const eveningRoutes = [
  answers(eveningApi.room, getRoom),
  answers(eveningApi.changeRoom, changeRoom),
  answers(api.fault.list, listFaults),
  answers(api.fault.report, reportFault),
  answers(api.fault.judge, judgeFault),
  answers(api.fault.close, closeFault),
  answers(eveningApi.list, list),
  answers(eveningApi.plan, planEvening),
  answers(eveningApi.get, ({ db, params, now }) => eveningPage(db, params.id, now)),
  answers(eveningApi.change, changeEvening),
  answers(eveningApi.undo, undoEvening),
  answers(eveningApi.send, sendLoad),
  answers(eveningApi.tick, tick),
  answers(eveningApi.begin, beginLoad),
]
