import { agitationNamed, draftOf, outcomeOf } from '@selvrin/core'
import { practiceApi } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import { byId, pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { processAs } from '../process/rows'
import { practiceRow, practiceRows } from './rows'

const notYours = () => new Refusal(403, 'not-yours', 'What others practised is theirs, and the technician’s.')

const list: Handler<typeof practiceApi.list> = async ({ db, query: { personId, ...query }, who }) => {
  if (who.role !== 'technician' && personId !== undefined && personId !== who.id) throw notYours()
  const rows = await practiceRows(db, { ...byId(query, 'desc'), personId: who.role === 'technician' ? personId : who.id })
  return pageOf(rows, query.limit)
}

/** What it would have done is worked out here from what was done: nobody sends in marks of their own. */
const run: Handler<typeof practiceApi.run> = async ({ db, body: { id, processVersionId, options, agitation, practised }, who, now }) => {
  // sent again, as after a reload: it is written down once
  if (await db.Practice.findOne({ where: { id, personId: who.id } })) return practiceRow(db, id)
  const { body } = await processAs(db, processVersionId)
  const { plan } = draftOf(body, options, agitationNamed(agitation))
  if (!plan) throw new Refusal(422, 'no-plan', `${body.name} cannot be practised: its steps do not make a plan.`)
  const { findings, score, clean } = outcomeOf(plan, practised)
  await db.Practice.create({ id, personId: who.id, at: now, processVersionId, options, agitation, practised, findings, score, clean })
  return practiceRow(db, id)
}

const loading: Handler<typeof practiceApi.loading> = async ({ db, body: { id, loading: done }, who, now }) => {
  await db.Practice.create({ id, personId: who.id, at: now, loading: done, clean: done.went === 'clean' })
  return practiceRow(db, id)
}

/** A run that was practised, step by step; the plan comes out of the version it was practised by. */
const get: Handler<typeof practiceApi.get> = async ({ db, params: { id }, who }) => {
  const row = await db.Practice.findByPk(id, { include: [{ association: 'process', attributes: ['body'] }] })
  if (!row?.practised || !row.process) throw notFound('practice')
  if (who.role !== 'technician' && row.personId !== who.id) throw notYours()
  const { plan } = draftOf(row.process.body, row.options, agitationNamed(row.agitation))
  if (!plan) throw notFound('practice')
  return { row: await practiceRow(db, id), plan, practised: row.practised }
}

export const practiceRoutes = [
  answers(practiceApi.list, list),
  answers(practiceApi.get, get),
  answers(practiceApi.run, run),
  answers(practiceApi.loading, loading),
]
