import { decideCheck } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { signInLimiter } from '../credential/limit'
import { isPassword } from '../credential/password'
import { stateOf } from '../formula/mixed'
import { Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import { writeEvents } from './recording'
import { eventRows, mixRow, openMix } from './rows'

interface Checker {
  id: string
  name: string
}

/** The second person by name and password, known before any row is locked: hashing takes its time. Null where whoever is signed in is the second person. */
export async function checkerOf({ db, body, request }: Call<typeof api.mix.check>): Promise<Checker | null> {
  if (body.login === undefined) return null
  const limiter = signInLimiter(db)
  await limiter.take(request, body.login)
  const person = await db.Person.findOne({ where: { login: body.login, active: true } })
  if (!(await isPassword(body.password ?? '', person?.passwordHash)) || !person)
    throw new Refusal(422, 'wrong-password', 'Name or password is wrong. Type them again.', { field: 'password' })
  await limiter.forget(request, body.login)
  return { id: person.id, name: person.name }
}

/** A second person looks at a weight. */
export const check: Handler<typeof api.mix.check> = async ({ db, params, body, who, now, before }) => {
  const mix = await openMix(db, params.id)
  const checker = (before as Checker | null) ?? (await db.Person.findByPk(who.id, { attributes: ['id', 'name'] }))
  const weighed = (await eventRows(db, mix.id)).filter(({ event }) => event.kind === 'weigh' && event.step === body.step)
  const asked = { checker, weighedBy: weighed.map((row) => row.byId) }
  const event = decideCheck(stateOf(mix, await catalogueOf(db)), body, asked)
  await writeEvents(db, mix.id, [event], event.kind === 'checked' ? event.by : who.id, now)
  return mixRow(db, mix.id)
}
