import { sinkApi } from '@selvrin/core/contract'
import { answers } from '../http/route'
import { allow, forbid } from './allowing'
import { change, label, make, page, pour, quarantine, seal, takeBack, weigh } from './drums'
import { drain, drainBack, drained } from './drain'
import { changeFacts } from './facts'
import { make as makeFunnel, rinsed } from './funnels'
import { sinkPage } from './page'
import { arrange, collected, list as pickups } from './pickups'
import { getReceipt, putReceipt, receiptOf } from './receipt'
import { list as recoveries, recover, recoverBack } from './recoveries'
import { silver } from './silver'

/** Drums and what goes into them, collections, recovered silver, what may go down the drain. */
export const sinkRoutes = [
  answers(sinkApi.get, ({ db, now }) => sinkPage(db, now)),
  answers(sinkApi.silver, silver),
  answers(sinkApi.facts, changeFacts),
  answers(sinkApi.make, make),
  answers(sinkApi.drum, page),
  answers(sinkApi.change, change),
  answers(sinkApi.label, label),
  answers(sinkApi.seal, seal),
  answers(sinkApi.quarantine, quarantine),
  answers(sinkApi.pour, pour),
  answers(sinkApi.weigh, weigh),
  answers(sinkApi.takeBack, takeBack),
  answers(sinkApi.funnel, makeFunnel),
  answers(sinkApi.rinsed, rinsed),
  answers(sinkApi.pickups, pickups),
  answers(sinkApi.arrange, arrange),
  answers(sinkApi.collected, collected),
  answers(sinkApi.putReceipt, putReceipt, { before: receiptOf }),
  answers(sinkApi.getReceipt, getReceipt),
  answers(sinkApi.recoveries, recoveries),
  answers(sinkApi.recover, recover),
  answers(sinkApi.recoverBack, recoverBack),
  answers(sinkApi.drain, drain),
  answers(sinkApi.drained, drained),
  answers(sinkApi.drainBack, drainBack),
  answers(sinkApi.allow, allow),
  answers(sinkApi.forbid, forbid),
]
