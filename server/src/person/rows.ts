import type { Me, Person } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound } from '../http/refusal'

export const personColumns = `id, version, name, login, role, active, password_hash is not null as "hasPassword", created_at as "createdAt"`

export async function personRow(db: Database, id: string, tx?: Transaction): Promise<Person> {
  const row = await db.one<Person>(`select ${personColumns} from person where id = $1`, [id], tx)
  if (!row) throw notFound('person')
  return row
}

export async function meOf(db: Database, id: string, tx?: Transaction): Promise<Me> {
  const row = await db.one<Me>(
    `select id, version, name, login, role, units, decimal, letter_keys as "letterKeys", sounds from person where id = $1`,
    [id],
    tx,
  )
  if (!row) throw notFound('person')
  return row
}
