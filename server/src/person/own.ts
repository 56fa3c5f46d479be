import type { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { signInLimiter } from '../credential/limit'
import { hashPassword, isPassword } from '../credential/password'
import { requireStrong } from '../credential/strength'
import { asSeen, saveSeen } from '../http/changing'
import { notFound, Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import { changeAll } from '../table/all'
import { meOf } from './rows'

export const changeMe: Handler<typeof api.person.changeMe> = async ({ db, body: { version, ...facts }, who }) => {
  if (who.id === '') throw notFound('person')
  await saveSeen(asSeen(db.Person, { id: who.id, version }).set(facts), version, () => meOf(db, who.id))
  return meOf(db, who.id)
}

/** The new password's hash, made before anything is locked: hashing takes its time. */
export async function newHash({ db, body, who, request }: Call<typeof api.person.changePassword>): Promise<string> {
  const limiter = signInLimiter(db)
  const person = await db.Person.findByPk(who.id)
  await limiter.take(request, person?.login ?? who.id)
  if (!person || !(await isPassword(body.current, person.passwordHash)))
    throw new Refusal(422, 'wrong-password', 'That is not your present password. Type it again.', { field: 'current' })
  await limiter.forget(request, person.login)
  requireStrong(body.password, [person.login, person.name])
  return hashPassword(body.password)
}

export const changePassword: Handler<typeof api.person.changePassword> = async ({ db, who, before }) => {
  await changeAll(db.Person, { passwordHash: before as string }, { id: who.id })
  await db.Session.destroy({ where: { personId: who.id, tokenHash: { [Op.ne]: who.tokenHash } } })
  return { done: true as const }
}
