import { api } from '@selvrin/core/contract'
import { filmsWhere } from '../film/rows'
import { byId, pageOf } from '../http/page'
import { Refusal } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import { invite, resetCode } from './codes'
import { keptOf } from './erasing'
import { change, erase } from './managing'
import { changeMe, changePassword, newHash } from './own'
import { personRow, shown } from './rows'

const signOutEverywhere: Handler<typeof api.person.signOutEverywhere> = async ({ db, params, who }) => {
  if (who.role !== 'technician' && who.id !== params.id) throw new Refusal(403, 'not-yours', 'You can end your own sessions only.')
  await personRow(db, params.id)
  await db.Session.destroy({ where: { personId: params.id } })
  return { done: true as const }
}

const exportData: Handler<typeof api.person.exportData> = async ({ db, params: { id }, who }) => {
  if (who.role !== 'technician' && who.id !== id) throw new Refusal(403, 'not-yours', 'You can take out your own record only.')
  return {
    person: await personRow(db, id),
    rolls: await filmsWhere(db, { memberId: id, takenBack: false }, 'desc'),
    kept: await keptOf(db, id),
  }
}

export const personRoutes = [
  answers(api.person.list, async ({ db, query }) => pageOf((await db.Person.findAll(byId(query))).map(shown), query.limit)),
  answers(api.person.invite, invite),
  answers(api.person.change, change),
  answers(api.person.resetCode, resetCode),
  answers(api.person.signOutEverywhere, signOutEverywhere),
  answers(api.person.exportData, exportData),
  answers(api.person.erase, erase),
  answers(api.person.changeMe, changeMe),
  answers(api.person.changePassword, changePassword, { before: newHash }),
]
