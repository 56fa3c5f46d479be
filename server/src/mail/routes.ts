import { mailApi, type Letter, type MailWish } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import { saveSeen } from '../http/changing'
import { pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import type { Database, Row } from '../table/database'

async function wishOf(db: Database, personId: string): Promise<Row<'MailWish'>> {
  const [row] = await db.MailWish.findOrCreate({ where: { personId } })
  return row
}
const shownWish = ({ version, address, wanted, quietFrom, quietUntil }: Row<'MailWish'>): MailWish => ({
  ...{ version, address, wanted, quietFrom, quietUntil },
})
const shown = ({ id, text, at, nextAt, sentAt, tries, error, person }: Row<'Letter'>): Letter => ({
  ...{ id, to: nameOf(person), text, at, nextAt, sentAt, tries, error },
})

/** Without having said anything nobody is written to: an address is missing. */
const mine: Handler<typeof mailApi.mine> = async ({ db, who }) => {
  const row = await db.MailWish.findByPk(who.id)
  return row ? shownWish(row) : { version: 1, address: '', wanted: true, quietFrom: '22:00', quietUntil: '08:00' }
}

const change: Handler<typeof mailApi.change> = async ({ db, body: { version, ...body }, who }) => {
  const row = await wishOf(db, who.id)
  await saveSeen(row.set(body), version, async () => shownWish(await wishOf(db, who.id)))
  return shownWish(row)
}

const letters =
  (sends: boolean): Handler<typeof mailApi.letters> =>
  async ({ db, query: { limit, after } }) => {
    const before = after === undefined ? null : await db.Letter.findByPk(after, { attributes: ['at'], raw: true })
    const where = before ? { at: { [Op.lt]: before.at } } : {}
    const rows = await db.Letter.findAll({ where, include: [withName('person')], order: [['at', 'desc']], limit: limit + 1 })
    return { ...pageOf(rows.map(shown), limit), sends }
  }

const again: Handler<typeof mailApi.again> = async ({ db, params, now }) => {
  const row = await db.Letter.findByPk(params.id, { include: [withName('person')], lock: { level: 'UPDATE' as never, of: db.Letter } })
  if (!row) throw notFound('letter')
  if (row.sentAt === null) await row.update({ nextAt: now, tries: 0 })
  return shown(row)
}

/** What is written to people; `sends`: a mail server is set up. */
export const mailRoutes = (sends: boolean) => [
  answers(mailApi.mine, mine),
  answers(mailApi.change, change),
  answers(mailApi.letters, letters(sends)),
  answers(mailApi.again, again),
]
