import { agitationNamed, draftOf, outcomeOf } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'
import { byId, pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { processAs } from '../process/rows'
import { practiceRow, practiceRows } from './rows'

const list: Handler<typeof api.practice.list> = async ({ db, query: { personId, ...query }, who }) => {
  if (who.role !== 'technician' && personId !== undefined && personId !== who.id)
    throw new Refusal(403, 'not-yours', 'What others practised is theirs, and the technician’s.')
  const rows = await practiceRows(db, { ...byId(query, 'desc'), personId: who.role === 'technician' ? personId : who.id })
  return pageOf(rows, query.limit)
}

/** What it would have done is worked out here from what was done: nobody sends in marks of their own. */
const run: Handler<typeof api.practice.run> = async ({ db, body: { id, processVersionId, options, agitation, practised }, who, now }) => {
  // sent again, as after a reload: it is written down once
  if (await db.Practice.findOne({ where: { id, personId: who.id } })) return practiceRow(db, id)
  const { body } = await processAs(db, processVersionId)
  const { plan } = draftOf(body, options, agitationNamed(agitation))
  if (!plan) throw new Refusal(422, 'no-plan', `${body.name} cannot be practised: its steps do not make a plan.`)
  const { findings, score, clean } = outcomeOf(plan, practised)
  await db.Practice.create({ id, personId: who.id, at: now, processVersionId, practised, findings, score, clean })
  return practiceRow(db, id)
}

const loading: Handler<typeof api.practice.loading> = async ({ db, body: { id, loading: done }, who, now }) => {
  await db.Practice.create({ id, personId: who.id, at: now, loading: done, clean: done.went === 'clean' })
  return practiceRow(db, id)
}

export const practiceRoutes = [answers(api.practice.list, list), answers(api.practice.run, run), answers(api.practice.loading, loading)]
