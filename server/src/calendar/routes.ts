import { calendarApi, type CalendarKey } from '@selvrin/core/contract'
import { newToken, sha256 } from '../credential/password'
import { notFound, Refusal } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Row } from '../table/database'
import { calendarFile } from './file'

const shown = ({ id, name, whose, at }: Row<'CalendarKey'>): CalendarKey => ({ id, name, whose, at })

const keys: Handler<typeof calendarApi.keys> = async ({ db, who }) => ({
  rows: (await db.CalendarKey.findAll({ where: { personId: who.id, revokedAt: null }, order: [['id', 'desc']] })).map(shown),
  after: null,
})

const make: Handler<typeof calendarApi.make> = async ({ db, body: { id, name, whose }, who, now }) => {
  const token = newToken()
  return { key: shown(await db.CalendarKey.create({ id, personId: who.id, name, whose, tokenHash: sha256(token), at: now })), token }
}

const revoke: Handler<typeof calendarApi.revoke> = async ({ db, params, who, now }) => {
  const [count] = await db.CalendarKey.update({ revokedAt: now }, { where: { id: params.id, personId: who.id, revokedAt: null } })
  if (count === 0) throw notFound('address')
  return { revoked: true as const }
}

/** Whoever has the key of somebody who is still a member; nobody's name is asked. */
const feed: Handler<typeof calendarApi.feed> = async ({ db, params: { token }, now }) => {
  const key = await db.CalendarKey.findOne({
    where: { tokenHash: sha256(token), revokedAt: null },
    include: [{ association: 'person', attributes: ['active'] }],
  })
  if (!key?.person?.active) throw new Refusal(404, 'no-key', 'This address opens nothing any more. Make another one in the settings.')
  return calendarFile(db, key, now)
}

/** Plans as calendar files, and the addresses calendar programs subscribe to. */
export const calendarRoutes = [
  answers(calendarApi.keys, keys),
  answers(calendarApi.make, make),
  answers(calendarApi.revoke, revoke),
  answers(calendarApi.file, ({ db, query: { whose }, who, now }) => calendarFile(db, { personId: who.id, whose }, now)),
  answers(calendarApi.feed, feed),
]
