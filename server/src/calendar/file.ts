import { darkroomAgenda, dayMs, openStates, ownAgenda, type AgendaEvent } from '@selvrin/core'
import type { FileAnswer } from '@selvrin/core/contract'
import ical, { ICalCalendarMethod } from 'ical-generator'
import { Op } from 'sequelize'
import { roomOf } from '../evening/roomFacts'
import { placesWhere } from '../printing/places'
import type { Database } from '../table/database'

/** days back from now that still stand in a calendar */
const backDays = 30
/** how often a calendar program is asked to look again, s */
const lookAgainS = 900

/** Whose plan is written. */
interface Whose {
  personId: string
  whose: 'mine' | 'darkroom'
}

async function eventsOf(db: Database, { personId, whose }: Whose, now: number): Promise<AgendaEvent[]> {
  const rows = await db.Evening.findAll({ where: { closesAt: { [Op.gt]: now - backDays * dayMs } }, order: ['opensAt'], raw: true })
  const places = await placesWhere(db, { untilAt: { [Op.gt]: now - backDays * dayMs } })
  const evenings = rows.map(({ id, version, day, body }) => ({
    id,
    version,
    body,
    printing: places.filter((one) => one.day === day).length,
  }))
  if (whose === 'darkroom') return darkroomAgenda(evenings, await roomOf(db))
  const orders = await db.FilmOrder.findAll({
    where: { memberId: personId, state: { [Op.in]: [...openStates] } },
    order: ['id'],
    raw: true,
  })
  return ownAgenda(
    personId,
    orders,
    evenings,
    places.filter((one) => one.memberId === personId),
  )
}

/** A plan as an iCalendar file. */
export async function calendarFile(db: Database, which: Whose, now: number): Promise<FileAnswer> {
  const darkroom = await db.Darkroom.findOne({ attributes: ['name', 'zone'], rejectOnEmpty: true, raw: true })
  const calendar = ical({
    name: which.whose === 'mine' ? `${darkroom.name}, mine` : darkroom.name,
    prodId: { company: 'Selvrin', product: 'Rota' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: lookAgainS,
  })
  for (const { uid, sequence, summary, description, when } of await eventsOf(db, which, now)) {
    const whole = 'day' in when
    calendar.createEvent({
      ...{ id: `${uid}@selvrin`, sequence, summary, description, stamp: new Date(now), allDay: whole },
      // a day is the same day wherever it is read
      ...(whole
        ? { start: new Date(`${when.day}T00:00:00Z`), timezone: null }
        : { start: new Date(when.fromAt), end: new Date(when.untilAt) }),
    })
  }
  return { name: 'darkroom.ics', type: 'text/calendar; charset=utf-8', bytes: Buffer.from(calendar.toString()) }
}
