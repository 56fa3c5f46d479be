import { weeksApi } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'
import { asSeen, saveSeen } from '../http/changing'
import { answers, type Handler } from '../http/route'
import { changeAll } from '../table/all'
import { promiseDays } from './promising'
import { weeksPage } from './rows'

const spread: Handler<typeof weeksApi.spread> = async ({ db, jobs, who, now }) => {
  if (!jobs) throw new Refusal(503, 'no-jobs', 'This server does no work in the background. Start it with npm start.')
  await changeAll(db.Weeks, { state: 'asked', askedBy: who.id, askedAt: now, done: 0, of: 0 }, { onlyRow: true })
  await jobs.ask('weeks')
  return weeksPage(db, now)
}

const promise: Handler<typeof weeksApi.promise> = async ({ db, body: { version }, now }) => {
  const { result, version: is } = await weeksPage(db, now)
  if (!result) throw new Refusal(409, 'nothing', 'Nothing was spread yet. Spread the orders first.')
  await saveSeen(asSeen(db.Weeks, { onlyRow: true, version: is }), version, () => weeksPage(db, now))
  await promiseDays(db, result, { now, all: true })
  return weeksPage(db, now)
}

/** Orders over the coming weeks. */
export const weeksRoutes = [
  answers(weeksApi.get, ({ db, now }) => weeksPage(db, now)),
  answers(weeksApi.spread, spread),
  answers(weeksApi.promise, promise),
]
