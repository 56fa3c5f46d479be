import { bookingAgainst, type BookingKnown } from '@selvrin/core'
import type { PrintPlace, printingApi } from '@selvrin/core/contract'
import type { Me } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import { givingOut, placesWhere } from '../printing/places'
import { tellOfPlace } from '../printing/telling'
import type { Database, Row } from '../table/database'
import { knownFor } from './known'

type Who = Pick<Me, 'id' | 'role'>

const placeRow = async (db: Database, id: string): Promise<PrintPlace> => {
  const [place] = await placesWhere(db, { id })
  if (!place) throw notFound('place')
  return place
}

/** Refuses what speaks against a place; of everybody's share a technician may give more, with a reason. */
function requireBooking(asked: { fromAt: number; untilAt: number; overruled: string | null }, known: BookingKnown, who: Who): void {
  const against = bookingAgainst(asked, known)
  const never = against.find((one) => !one.fairUse)
  if (never) throw new Refusal(never.rule === 'print-places' || never.rule === 'print-light' ? 409 : 422, never.rule, never.message)
  const [unfair] = against
  if (!unfair) return
  if (who.role === 'technician' && asked.overruled !== null) return
  throw new Refusal(409, unfair.rule, unfair.message, { current: { fairUse: true } })
}

const ownOnly = (who: Who, memberId: string): void => {
  if (who.role !== 'technician' && who.id !== memberId) throw new Refusal(403, 'not-yours', 'That is another member’s place.')
}

/** A place somebody still has, as far as whoever asks may touch it. */
async function openPlace(db: Database, id: string, who: Who, now: number): Promise<Row<'PrintPlace'>> {
  const row = await db.PrintPlace.findByPk(id)
  if (!row || (who.role !== 'technician' && row.personId !== who.id)) throw notFound('place')
  if (row.takenBackAt !== null) throw new Refusal(409, 'print-gone', 'That place was given back already.')
  if (row.untilAt <= now) throw new Refusal(409, 'print-over', 'That time is over: it stays on the record.')
  return row
}

export const book: Handler<typeof printingApi.book> = async ({ db, body: { id, memberId, ...asked }, who, now }) => {
  ownOnly(who, memberId)
  const member = await db.Person.findByPk(memberId, { attributes: ['active'] })
  if (!member?.active) throw new Refusal(422, 'member', 'Whoever that was is no member any more.', { field: 'memberId' })
  await givingOut(db)
  const known = await knownFor(db, { id, memberId, ...asked }, now)
  requireBooking(asked, known, who)
  const { fromAt, untilAt } = asked
  const overruled = bookingAgainst(asked, known).length > 0 ? asked.overruled : null
  await db.PrintPlace.create({ id, personId: memberId, day: known.day, fromAt, untilAt, at: now, byPerson: who.id, overruled })
  if (memberId !== who.id)
    await tellOfPlace(db, { personId: memberId, text: (words) => `A place at an enlarger is yours: ${words({ fromAt, untilAt })}.`, now })
  return placeRow(db, id)
}

export const change: Handler<typeof printingApi.change> = async ({ db, params: { id }, body: { version, ...asked }, who, now }) => {
  await givingOut(db)
  const row = await openPlace(db, id, who, now)
  const [memberId, was] = [row.personId, { fromAt: row.fromAt, untilAt: row.untilAt }]
  const known = await knownFor(db, { id, memberId, ...asked }, now)
  requireBooking(asked, known, who)
  const { fromAt, untilAt } = asked
  const overruled = bookingAgainst(asked, known).length > 0 ? asked.overruled : null
  await saveSeen(row.set({ fromAt, untilAt, day: known.day, at: now, byPerson: who.id, overruled }), version, () => placeRow(db, id))
  if (memberId !== who.id)
    await tellOfPlace(db, {
      ...{ personId: memberId, now },
      text: (words) => `Your place at an enlarger is ${words({ fromAt, untilAt })} now, not ${words(was)}.`,
    })
  return placeRow(db, id)
}

const minuteMs = 60_000

export const takeBack: Handler<typeof printingApi.takeBack> = async ({ db, params: { id }, body: { version, why }, who, now }) => {
  await givingOut(db)
  const row = await openPlace(db, id, who, now)
  const place = await placeRow(db, id)
  const others = row.personId !== who.id
  if (others && why.length < 3) throw new Refusal(422, 'why', 'Say why in a few words: they are told.', { field: 'why' })
  // somebody was there until now: that stays
  const until = Math.ceil(now / minuteMs) * minuteMs
  const begun = row.fromAt < now && until < row.untilAt
  row.set(begun ? { untilAt: until, why: why || null } : { takenBackAt: now, takenBackBy: who.id, why: why || null })
  await saveSeen(row, version, () => placeRow(db, id))
  if (others)
    await tellOfPlace(db, {
      ...{ personId: row.personId, now },
      text: (words) => `Your place at an enlarger, ${words(place)}, ${begun ? 'ended' : 'is gone'}: ${why}`,
    })
  return { ...place, version: row.version, untilAt: row.untilAt }
}
