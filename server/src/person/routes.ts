import { api } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { pageOf } from '../http/page'
import { notFound, Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { rollsOf } from '../run/rows'
import { signInLimiter } from '../session/limit'
import { hashPassword, isPassword, newCode, sha256 } from '../session/password'
import { requireStrong } from '../session/strength'
import { keptOf, takeNameOut } from './erasing'
import { meOf, personColumns, personRow } from './rows'

const codeLifeMs = 7 * 86_400_000

export function personRoutes(router: Router, house: House): void {
  const { db } = house
  const limiter = signInLimiter(house)

  async function giveCode(personId: string, now: number, tx: Transaction | undefined) {
    const code = newCode(10)
    const expiresAt = now + codeLifeMs
    await db.run('delete from one_time_code where person_id = $1', [personId], tx)
    await db.run(
      'insert into one_time_code (code_hash, person_id, expires_at) values ($1, $2, $3)',
      [sha256(code), personId, new Date(expiresAt)],
      tx,
    )
    return { person: await personRow(db, personId, tx), code, expiresAt }
  }

  /** Who may be a technician is changed by one at a time: two who demote each other wait, and neither slips through nor blocks. */
  const oneAtATime = (tx: Transaction | undefined): Promise<void> => db.run(`select pg_advisory_xact_lock(hashtext('technicians'))`, [], tx)

  /** The last technician who can sign in must stay one. */
  async function keepOneTechnician(tx: Transaction | undefined): Promise<void> {
    const left = await db.one(`select id from person where role = 'technician' and active and password_hash is not null limit 1`, [], tx)
    if (!left) throw new Refusal(409, 'last-technician', 'That would leave the darkroom without a technician. Make someone else one first.')
  }

  route(
    router,
    house,
    api.person.list,
    async ({ query }) =>
      pageOf(
        await db.rows<{ id: string }>(`select ${personColumns} from person where ($2::uuid is null or id > $2) order by id limit $1`, [
          query.limit + 1,
          query.after ?? null,
        ]),
        query.limit,
      ) as never,
  )

  route(router, house, api.person.invite, async ({ body, now, tx }) => {
    await db.run(
      'insert into person (id, name, login, role, created_at) values ($1, $2, $3, $4, $5)',
      [body.id, body.name, body.login, body.role, new Date(now)],
      tx,
    )
    return giveCode(body.id, now, tx)
  })

  route(router, house, api.person.change, async ({ params, body, tx }) => {
    await oneAtATime(tx)
    const changed = await db.rows(
      `update person set name = coalesce($3, name), role = coalesce($4, role), active = coalesce($5::boolean, active), version = version + 1 where id = $1 and version = $2 returning id`,
      [params.id, body.version, body.name ?? null, body.role ?? null, body.active ?? null],
      tx,
    )
    if (changed.length === 0) throw stale(await personRow(db, params.id, tx))
    await keepOneTechnician(tx)
    if (body.active === false) await db.run('delete from session where person_id = $1', [params.id], tx)
    return personRow(db, params.id, tx)
  })

  route(router, house, api.person.resetCode, async ({ params, now, tx }) => {
    await personRow(db, params.id, tx)
    return giveCode(params.id, now, tx)
  })

  route(router, house, api.person.signOutEverywhere, async ({ params, who, tx }) => {
    if (who.role !== 'technician' && who.id !== params.id) throw new Refusal(403, 'not-yours', 'You can end your own sessions only.')
    await personRow(db, params.id, tx)
    await db.run('delete from session where person_id = $1', [params.id], tx)
    return { done: true as const }
  })

  route(router, house, api.person.exportData, async ({ params, who }) => {
    if (who.role !== 'technician' && who.id !== params.id) throw new Refusal(403, 'not-yours', 'You can take out your own record only.')
    return {
      person: await personRow(db, params.id),
      rolls: (await rollsOf(db, { memberId: params.id, limit: 100_000, after: null })) as never[],
      kept: await keptOf(db, params.id),
    }
  })

  route(router, house, api.person.erase, async ({ params, body, who, tx }) => {
    if (who.id === params.id) throw new Refusal(409, 'yourself', 'You cannot erase yourself. Ask another technician.')
    await oneAtATime(tx)
    const [gone] = await db.rows<{ id: string; name: string; login: string }>(
      'select id, name, login from person where id = $1 and version = $2 for update',
      [params.id, body.version],
      tx,
    )
    if (!gone) throw stale(await personRow(db, params.id, tx))
    await takeNameOut(db, gone, tx)
    // what a member wrote about their films is theirs; what was done in the darkroom stays, without a name
    await db.run(`update roll set note = '', version = version + 1 where member_id = $1`, [params.id], tx)
    await db.run('delete from person where id = $1', [params.id], tx)
    await keepOneTechnician(tx)
    return { done: true as const }
  })

  route(router, house, api.person.changeMe, async ({ body, who, tx }) => {
    const changed = await db.rows(
      `update person set units = coalesce($3, units), letter_keys = coalesce($4::boolean, letter_keys), sounds = coalesce($5::boolean, sounds), decimal = coalesce($6, decimal), version = version + 1
       where id = $1 and version = $2 returning id`,
      [who.id, body.version, body.units ?? null, body.letterKeys ?? null, body.sounds ?? null, body.decimal ?? null],
      tx,
    )
    if (changed.length === 0) throw who.id === '' ? notFound('person') : stale(await meOf(db, who.id, tx))
    return meOf(db, who.id, tx)
  })

  route(
    router,
    house,
    api.person.changePassword,
    async ({ who, tx, before }) => {
      await db.run('update person set password_hash = $2, version = version + 1 where id = $1', [who.id, before as string], tx)
      await db.run('delete from session where person_id = $1 and token_hash <> $2', [who.id, who.tokenHash], tx)
      return { done: true as const }
    },
    {
      // hashing takes its time: nothing is locked while it does
      before: async ({ body, who, request }) => {
        const person = await db.one<{ login: string; name: string; password_hash: string | null }>(
          'select login, name, password_hash from person where id = $1',
          [who.id],
        )
        await limiter.take(request, person?.login ?? who.id)
        if (!person || !(await isPassword(body.current, person.password_hash)))
          throw new Refusal(422, 'wrong-password', 'That is not your present password. Type it again.', { field: 'current' })
        await limiter.forget(request, person.login)
        requireStrong(body.password, [person.login, person.name])
        return hashPassword(body.password)
      },
    },
  )
}
