import { api, type Session } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { signInLimiter } from '../credential/limit'
import { hashPassword, isPassword, sha256 } from '../credential/password'
import { requireStrong } from '../credential/strength'
import { demoSignIns } from '../demo/people'
import { Refusal } from '../house/refusal'
import { answers, type Call, type Handler } from '../http/route'
import { meOf } from '../person/rows'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { dropCookie, openSession } from './cookie'

/** A house in which nobody can be a technician yet. */
const isUnmanned = async (db: Database): Promise<boolean> =>
  (await db.Person.count({ where: { role: 'technician', passwordHash: { [Op.not]: null } } })) === 0

/** What a page needs to know first. */
async function sessionFor(db: Database, personId: string, now: number): Promise<Session> {
  const darkroom = await db.Darkroom.findOne({ attributes: ['name', 'kind', 'zone', 'firstCodeHash'] })
  if (!darkroom) throw new Refusal(503, 'not-ready', 'The darkroom is not set up yet.')
  const { name, kind, zone, firstCodeHash } = darkroom
  return {
    person: personId === '' ? null : await meOf(db, personId),
    darkroom: { name, kind, zone },
    demoSignIns: kind === 'demo' && personId === '' ? demoSignIns : null,
    firstVisit: kind === 'house' && firstCodeHash !== null && (await isUnmanned(db)),
    now,
  }
}

async function enter({ db, clock, request, response, now }: Call<typeof api.session.signIn>, personId: string): Promise<Session> {
  await openSession({ db, clock }, request, response, personId, now)
  return sessionFor(db, personId, now)
}

const signIn: Handler<typeof api.session.signIn> = async (call) => {
  const { db, request, body } = call
  const limiter = signInLimiter(db)
  await limiter.take(request, body.login)
  const person = await db.Person.findOne({ where: { login: body.login, active: true } })
  if (!(await isPassword(body.password, person?.passwordHash)) || !person)
    throw new Refusal(401, 'wrong-password', 'Name or password is wrong. Type them again, or ask a technician for a one-time code.')
  await limiter.forget(request, body.login)
  return enter(call, person.id)
}

const signOut: Handler<typeof api.session.signOut> = async ({ db, who, response }) => {
  await db.Session.destroy({ where: { tokenHash: who.tokenHash } })
  dropCookie(response)
  return { done: true as const }
}

/** Uses a code up and sets the password it was given for; answers whose it is. */
const redeem = (db: Database, { login, code, passwordHash, now }: { login: string; code: string; passwordHash: string; now: number }) =>
  db.transaction(async () => {
    const person = await db.Person.findOne({ where: { login, active: true } })
    const where = { codeHash: sha256(code), expiresAt: { [Op.gt]: now } }
    const used = person ? await db.OneTimeCode.destroy({ where: { ...where, personId: person.id } }) : 0
    if (!person || used === 0)
      throw new Refusal(401, 'wrong-code', 'Name or code is wrong, or the code is used or too old. Ask a technician for a new one.')
    await changeAll(db.Person, { passwordHash }, { id: person.id })
    await db.Session.destroy({ where: { personId: person.id } })
    return person.id
  })

const useCode: Handler<typeof api.session.useCode> = async (call) => {
  const { login, code, password } = call.body
  await signInLimiter(call.db).take(call.request, login)
  requireStrong(password, [login])
  const passwordHash = await hashPassword(password)
  return enter(call as never, await redeem(call.db, { login, code, passwordHash, now: call.now }))
}

const makeFirst: Handler<typeof api.session.first> = async (call) => {
  const { db, now } = call
  const { login, code, password, name, units } = call.body
  await signInLimiter(db).take(call.request, login)
  requireStrong(password, [login, name])
  const passwordHash = await hashPassword(password)
  const id = uuid()
  await db.transaction(async () => {
    const darkroom = await db.Darkroom.findOne({ where: { kind: 'house', firstCodeHash: sha256(code) }, lock: true })
    if (!darkroom || !(await isUnmanned(db)))
      throw new Refusal(401, 'wrong-code', 'That is not the code printed where the server was started, or there is a technician already.')
    await darkroom.update({ firstCodeHash: null })
    await db.Person.create({ id, name, login, role: 'technician', passwordHash, units, createdAt: now })
  })
  return enter(call as never, id)
}

export const sessionRoutes = [
  answers(api.session.get, ({ db, who, now }) => sessionFor(db, who.id, now)),
  answers(api.session.signIn, signIn),
  answers(api.session.signOut, signOut),
  answers(api.session.useCode, useCode),
  answers(api.session.first, makeFirst),
]
