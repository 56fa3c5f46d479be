import { api, type Notice } from '@selvrin/core/contract'
import { byId, pageOf } from '../http/page'
import { notFound } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Row } from '../table/database'

/** A notice as its person sees it. */
export const shown = ({ id, at, text, rollId, readAt }: Row<'Notice'>): Notice => ({ id, at, text, rollId, read: readAt !== null })

const listNotices: Handler<typeof api.proof.notices> = async ({ db, query, who }) => {
  const { where, ...rest } = byId(query, 'desc')
  const rows = await db.Notice.findAll({ where: { ...where, personId: who.id }, ...rest })
  return pageOf(rows.map(shown), query.limit)
}

const markRead: Handler<typeof api.proof.read> = async ({ db, params, who, now }) => {
  const notice = await db.Notice.findOne({ where: { id: params.id, personId: who.id } })
  if (!notice) throw notFound('notice')
  await notice.update({ readAt: notice.readAt ?? now })
  return { done: true as const }
}

/** What people are told about their films. Everyone sees their own. */
export const noticeRoutes = [answers(api.proof.notices, listNotices), answers(api.proof.read, markRead)]
