import { dayMs } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { newCode, sha256 } from '../credential/password'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { personRow } from './rows'

const codeLifeMs = 7 * dayMs

/** A fresh one-time code, shown this once. */
async function giveCode(db: Database, personId: string, now: number) {
  const code = newCode(10)
  const expiresAt = now + codeLifeMs
  await db.OneTimeCode.destroy({ where: { personId } })
  await db.OneTimeCode.create({ codeHash: sha256(code), personId, expiresAt })
  return { person: await personRow(db, personId), code, expiresAt }
}

export const invite: Handler<typeof api.person.invite> = async ({ db, body: { id, name, login, role }, now }) => {
  await db.Person.create({ id, name, login, role, createdAt: now })
  return giveCode(db, id, now)
}

export const resetCode: Handler<typeof api.person.resetCode> = async ({ db, params, now }) => {
  await personRow(db, params.id)
  return giveCode(db, params.id, now)
}
