import { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { beginLoad } from './begin'
import { changeEvening, planEvening, sendLoad, undoEvening } from './changing'
import { closeFault, judgeFault, listFaults, reportFault } from './faults'
import { changeRoom, getRoom } from './roomFacts'
import { eveningPage, eveningSummaries } from './rows'
import { tick } from './ticking'

const list: Handler<typeof api.evening.list> = async ({ db, query: { after, limit } }) => {
  const before = after === undefined ? null : await db.Evening.findByPk(after, { attributes: ['opensAt'], raw: true })
  return pageOf(await eveningSummaries(db, before ? { opensAt: { [Op.lt]: before.opensAt } } : {}, limit + 1), limit)
}

/** The room, what is out of order in it, and its evenings. */
export const eveningRoutes = [
  answers(api.evening.room, getRoom),
  answers(api.evening.changeRoom, changeRoom),
  answers(api.evening.faults, listFaults),
  answers(api.evening.report, reportFault),
  answers(api.evening.judgeFault, judgeFault),
  answers(api.evening.closeFault, closeFault),
  answers(api.evening.list, list),
  answers(api.evening.plan, planEvening),
  answers(api.evening.get, ({ db, params, now }) => eveningPage(db, params.id, now)),
  answers(api.evening.change, changeEvening),
  answers(api.evening.undo, undoEvening),
  answers(api.evening.send, sendLoad),
  answers(api.evening.tick, tick),
  answers(api.evening.begin, beginLoad),
]
