import type { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { asSeen, saveSeen } from '../http/changing'
import { oneAtATime } from '../house/queries'
import { notFound, Refusal, stale } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { releaseOf } from '../printing/releasing'
import { takeNameOut } from './erasing'
import { personRow, shown } from './rows'

/** Who may be a technician is changed by one at a time: two who demote each other wait, and neither slips through nor blocks. */
const alone = (db: Database) => oneAtATime(db, 'technicians')

/** The last technician who can sign in must stay one. */
async function keepOneTechnician(db: Database): Promise<void> {
  const left = await db.Person.count({ where: { role: 'technician', active: true, passwordHash: { [Op.not]: null } } })
  if (left === 0)
    throw new Refusal(409, 'last-technician', 'That would leave the darkroom without a technician. Make someone else one first.')
}

export const change: Handler<typeof api.person.change> = async ({ db, params: { id }, body: { version, ...facts }, who, now }) => {
  await alone(db)
  await saveSeen(asSeen(db.Person, { id, version }).set(facts), version, () => personRow(db, id))
  await keepOneTechnician(db)
  if (facts.active === false) {
    await db.Session.destroy({ where: { personId: id } })
    await releaseOf(db, id, { now, by: who.id })
  }
  return personRow(db, id)
}

export const erase: Handler<typeof api.person.erase> = async ({ db, params: { id }, body: { version }, who }) => {
  if (who.id === id) throw new Refusal(409, 'yourself', 'You cannot erase yourself. Ask another technician.')
  await alone(db)
  const person = await db.Person.findByPk(id, { lock: true })
  if (!person) throw notFound('person')
  if (person.version !== version) throw stale(shown(person))
  await takeNameOut(db, person)
  // what a member wrote about their films is theirs; what was done in the darkroom stays, without a name
  await changeAll(db.Roll, { note: '' }, { memberId: id })
  await person.destroy()
  await keepOneTechnician(db)
  return { done: true as const }
}
