import { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { asSeen, saveSeen } from '../http/changing'
import { pageOf, wordsOf } from '../http/page'
import { Refusal } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import { handBack, sleeve } from './drying'
import { pairs, takeProposal } from './pairs'
import { filmsLike, filmsWhere, rollRow } from './rows'
import { trace } from './trace'

/** Films newest first; a member's own, or everyone's. */
const listFilms: Handler<typeof api.run.rolls> = async ({ db, query: { limit, after, find, only }, who }) => {
  const where = {
    takenBack: false,
    ...(who.role === 'technician' ? {} : { memberId: who.id }),
    ...(after === undefined ? {} : { id: { [Op.lt]: after } }),
    ...(only === 'unsaid' ? { result: null } : {}),
    ...(only === 'hanging' ? { hungAt: { [Op.ne]: null }, sleevedAt: null } : {}),
    ...(only === 'waiting' ? { sleevedAt: { [Op.ne]: null }, handedAt: null } : {}),
  }
  if (find === '' && only !== 'marked') return pageOf(await filmsWhere(db, where, 'desc', limit + 1), limit)
  const ids = await filmsLike(db, where, { words: wordsOf(find), marked: only === 'marked', limit: limit + 1 })
  return pageOf(await filmsWhere(db, { id: ids }, 'desc'), limit)
}

const judge: Handler<typeof api.run.judge> = async ({ db, params, body: { version, faults, densities, ...judged }, who }) => {
  const roll = await rollRow(db, params.id)
  if (who.role !== 'technician' && roll.memberId !== who.id) throw new Refusal(403, 'not-yours', 'You can judge your own films only.')
  const row = asSeen(db.Roll, { id: roll.id, version: roll.version })
  await saveSeen(
    row.set({ ...judged, ...(faults ? { faults: [...new Set(faults)] } : {}), ...(densities === undefined ? {} : { densities }) }),
    version,
    () => rollRow(db, params.id),
  )
  return rollRow(db, params.id)
}

const clearMark: Handler<typeof api.run.clearMark> = async ({ db, params, body, who, now }) => {
  const where = { id: params.markId, rollId: params.id, clearedAt: null }
  const [cleared] = await db.RollMark.update({ clearedAt: now, cleared: body.what, clearedBy: who.id }, { where })
  if (cleared === 0) throw new Refusal(409, 'cleared', 'That mark has been cleared already, or is not on this film.')
  return rollRow(db, params.id)
}

/** The films that were developed, and how they came out. */
export const filmRoutes = [
  answers(api.run.rolls, listFilms),
  answers(api.run.judge, judge),
  answers(api.run.clearMark, clearMark),
  answers(api.film.sleeve, sleeve),
  answers(api.film.handBack, handBack),
  answers(api.film.pairs, pairs),
  answers(api.film.take, takeProposal),
  answers(api.film.trace, trace),
]
