import type { WallKey, wallApi } from '@selvrin/core/contract'
import { newToken, sha256 } from '../credential/password'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Database, Row } from '../table/database'

const shown = ({ id, name, at, revokedAt, by }: Row<'WallKey'>): WallKey => ({ id, name, at, revokedAt, by: nameOf(by) })

async function keyRow(db: Database, id: string): Promise<WallKey> {
  const row = await db.WallKey.findByPk(id, { include: [withName()] })
  if (!row) throw notFound('key')
  return shown(row)
}

export const listKeys: Handler<typeof wallApi.keys> = async ({ db }) => ({
  rows: (await db.WallKey.findAll({ include: [withName()], order: [['id', 'desc']] })).map(shown),
  after: null,
})

export const makeKey: Handler<typeof wallApi.make> = async ({ db, body: { id, name }, who, now }) => {
  const token = newToken()
  await db.WallKey.create({ id, name, tokenHash: sha256(token), byPerson: who.id, at: now })
  return { key: await keyRow(db, id), token }
}

export const revokeKey: Handler<typeof wallApi.revoke> = async ({ db, params, now }) => {
  await db.WallKey.update({ revokedAt: now }, { where: { id: params.id, revokedAt: null } })
  return keyRow(db, params.id)
}

/** Lets whoever has a key that holds go on. */
export async function requireKey(db: Database, token: string): Promise<void> {
  if ((await db.WallKey.count({ where: { tokenHash: sha256(token), revokedAt: null } })) === 0)
    throw new Refusal(
      404,
      'no-key',
      'This screen’s key opens nothing any more. A technician makes another one on the Rota, under The room.',
    )
}
