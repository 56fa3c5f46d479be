import type { MixEvent } from '@selvrin/core'
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
  const line = stateOf(mix, await catalogueOf(db)).lines[body.step]
  if (!line?.needsCheck) throw new Refusal(409, 'no-check', 'There is nothing to look at in this step now. Load the page again.')
  const checker = (before as Checker | null) ?? (await db.Person.findByPk(who.id, { attributes: ['id', 'name'] }))
  const weighers = (await eventRows(db, mix.id)).filter(({ event }) => event.kind === 'weigh' && event.step === body.step)
  if (!checker || weighers.some((row) => row.byId === checker.id))
    throw new Refusal(422, 'same-person', 'Whoever weighed it cannot be the second pair of eyes. Ask someone else.')
  const event: MixEvent = { id: body.eventId, kind: 'checked', step: body.step, by: checker.id, name: checker.name }
  await writeEvents(db, mix.id, [event], checker.id, now)
  return mixRow(db, mix.id)
}
