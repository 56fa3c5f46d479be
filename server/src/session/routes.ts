import { api, type Session } from '@selvrin/core/contract'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { demoSignIns } from '../demo/people'
import { route, type Call, type House } from '../http/route'
import { Refusal } from '../http/refusal'
import { meOf } from '../person/rows'
import { dropCookie, openSession } from './cookie'
import { hashPassword, isPassword, sha256 } from './password'
import { signInLimiter } from './limit'
import { requireStrong } from './strength'

/** What a page needs to know first. */
async function sessionFor({ db }: House, personId: string, now: number): Promise<Session> {
  const darkroom = await db.one<{ name: string; kind: 'demo' | 'house'; zone: string; technicians: number }>(
    `select name, kind, zone, (select count(*) from person where role = 'technician' and password_hash is not null) as technicians from darkroom`,
  )
  if (!darkroom) throw new Refusal(503, 'not-ready', 'The darkroom is not set up yet.')
  const { technicians, ...where } = darkroom
  return {
    person: personId === '' ? null : await meOf(db, personId),
    darkroom: where,
    demoSignIns: where.kind === 'demo' && personId === '' ? demoSignIns : null,
    firstVisit: where.kind === 'house' && technicians === 0,
    now,
  }
}

async function enter(call: Call<typeof api.session.signIn>, personId: string): Promise<Session> {
  await openSession(call, call.request, call.response, personId, call.now)
  return sessionFor(call, personId, call.now)
}

export function sessionRoutes(router: Router, house: House): void {
  const limiter = signInLimiter(house)
  const wrong = () =>
    new Refusal(401, 'wrong-password', 'Name or password is wrong. Type them again, or ask a technician for a one-time code.')

  route(router, house, api.session.get, ({ who, now }) => sessionFor(house, who.id, now))

  route(router, house, api.session.signIn, async (call) => {
    await limiter.take(call.request, call.body.login)
    const person = await house.db.one<{ id: string; password_hash: string | null }>(
      'select id, password_hash from person where login = $1 and active',
      [call.body.login],
    )
    if (!(await isPassword(call.body.password, person?.password_hash)) || !person) throw wrong()
    await limiter.forget(call.request, call.body.login)
    return enter(call, person.id)
  })

  route(router, house, api.session.signOut, async ({ who, response }) => {
    await house.db.run('delete from session where token_hash = $1', [who.tokenHash])
    dropCookie(response)
    return { done: true as const }
  })

  route(router, house, api.session.useCode, async (call) => {
    const { login, code, password } = call.body
    await limiter.take(call.request, login)
    requireStrong(password, [login])
    const hash = await hashPassword(password)
    const personId = await house.db.transaction(async (tx) => {
      const used = await house.db.one<{ person_id: string }>(
        `delete from one_time_code using person where person.id = person_id and person.login = $1 and person.active and code_hash = $2 and expires_at > $3 returning person_id`,
        [login, sha256(code), new Date(call.now)],
        tx,
      )
      if (!used)
        throw new Refusal(401, 'wrong-code', 'Name or code is wrong, or the code is used or too old. Ask a technician for a new one.')
      await house.db.run('update person set password_hash = $2, version = version + 1 where id = $1', [used.person_id, hash], tx)
      await house.db.run('delete from session where person_id = $1', [used.person_id], tx)
      return used.person_id
    })
    return enter(call, personId)
  })

  route(router, house, api.session.first, async (call) => {
    const { login, code, password, name, units } = call.body
    await limiter.take(call.request, login)
    requireStrong(password, [login, name])
    const hash = await hashPassword(password)
    const personId = uuid()
    await house.db.transaction(async (tx) => {
      const used = await house.db.one<{ kind: string }>(
        `update darkroom set first_code_hash = null where kind = 'house' and first_code_hash = $1
         and not exists (select from person where role = 'technician' and password_hash is not null) returning kind`,
        [sha256(code)],
        tx,
      )
      if (!used)
        throw new Refusal(401, 'wrong-code', 'That is not the code printed where the server was started, or there is a technician already.')
      await house.db.run(
        `insert into person (id, name, login, role, password_hash, units, created_at) values ($1, $2, $3, 'technician', $4, $5, $6)`,
        [personId, name, login, hash, units, new Date(call.now)],
        tx,
      )
    })
    return enter(call, personId)
  })
}
