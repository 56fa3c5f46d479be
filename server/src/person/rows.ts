import type { Me, Person } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import type { Database, Row } from '../table/database'

/** A person as a technician sees them. */
export const shown = ({ id, version, name, login, role, active, passwordHash, createdAt }: Row<'Person'>): Person => ({
  id,
  version,
  name,
  login,
  role,
  active,
  hasPassword: passwordHash !== null,
  createdAt,
})

const rowOf = async (db: Database, id: string) => {
  const row = await db.Person.findByPk(id)
  if (!row) throw notFound('person')
  return row
}

export const personRow = async (db: Database, id: string): Promise<Person> => shown(await rowOf(db, id))

/** A person as they see themselves, with their manner of units and keys. */
export async function meOf(db: Database, id: string): Promise<Me> {
  const { version, name, login, role, units, decimal, letterKeys, sounds } = await rowOf(db, id)
  return { id, version, name, login, role, units, decimal, letterKeys, sounds }
}
