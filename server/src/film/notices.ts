import { api } from '@selvrin/core/contract'
import { byId, pageOf } from '../http/page'
import { notFound } from '../house/refusal'
import { answers, type Handler } from '../http/route'

const listNotices: Handler<typeof api.proof.notices> = async ({ db, query, who }) => {
  const { where, ...rest } = byId(query, 'desc')
  const rows = await db.Notice.findAll({ where: { ...where, personId: who.id }, ...rest })
  return pageOf(
    rows.map(({ id, at, text, rollId, readAt }) => ({ id, at, text, rollId, read: readAt !== null })),
    query.limit,
  )
}

const markRead: Handler<typeof api.proof.read> = async ({ db, params, who, now }) => {
  const notice = await db.Notice.findOne({ where: { id: params.id, personId: who.id } })
  if (!notice) throw notFound('notice')
  await notice.update({ readAt: notice.readAt ?? now })
  return { done: true as const }
}

/** What people are told about their films. Everyone sees their own. */
export const noticeRoutes = [answers(api.proof.notices, listNotices), answers(api.proof.read, markRead)]
