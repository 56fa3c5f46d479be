import type { PermissionTerms } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'
import { destroySeen, saveSeen } from '../http/changing'
import { byId, pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { processRow } from '../process/rows'
import type { Database } from '../table/database'
import { permissionRow, permissionRows } from './rows'

/** What a permission names has to be there; a bottle it named before may have left the shelf meanwhile. */
async function requireThere(db: Database, { processId, vesselIds, bottleIds }: PermissionTerms, before: string[] = []): Promise<void> {
  const named = [...new Set(bottleIds)].filter((id) => !before.includes(id))
  await processRow(db, processId)
  if ((await db.Vessel.count({ where: { id: vesselIds } })) < new Set(vesselIds).size)
    throw new Refusal(422, 'no-vessel', 'One of these tanks is not there any more. Choose again.', { field: 'vesselIds' })
  if ((await db.Bottle.count({ where: { id: named, retiredAt: null } })) < named.length)
    throw new Refusal(422, 'no-bottle', 'One of these bottles is not on the shelf any more. Choose again.', { field: 'bottleIds' })
}

const list: Handler<typeof api.permission.list> = async ({ db, query: { personId, ...query }, now }) => {
  const { where, ...page } = byId(query)
  return pageOf(
    await permissionRows(db, { ...page, where: { ...where, ...(personId === undefined ? {} : { personId }) } }, now),
    query.limit,
  )
}

const give: Handler<typeof api.permission.give> = async ({ db, body: { id, personId, ...terms }, who, now }) => {
  const person = await db.Person.findByPk(personId, { lock: true })
  if (!person) throw new Refusal(422, 'no-person', 'That person is not there any more.')
  if (person.role === 'technician') throw new Refusal(422, 'technician', `${person.name} is a technician, and may develop everything.`)
  await requireThere(db, terms)
  const there = await db.Permission.findOne({ where: { personId, processId: terms.processId }, attributes: ['id'] })
  if (there) throw new Refusal(409, 'given', `${person.name} has a permission for this process already. Change that one.`)
  await db.Permission.create({ id, personId, ...terms, givenBy: who.id, givenAt: now })
  return permissionRow(db, id, now)
}

const change: Handler<typeof api.permission.change> = async ({ db, params: { id }, body: { version, ...terms }, who, now }) => {
  const row = await db.Permission.findByPk(id)
  await requireThere(db, terms, row?.bottleIds)
  const current = () => permissionRow(db, id, now)
  if (!row) await current()
  else {
    if (row.processId !== terms.processId)
      throw new Refusal(422, 'other-process', 'A permission is for one process. Give another one for another.', { field: 'processId' })
    await saveSeen(row.set({ ...terms, givenBy: who.id, givenAt: now }), version, current)
  }
  return current()
}

const end: Handler<typeof api.permission.end> = async ({ db, params: { id }, body: { version }, now }) => {
  const row = await db.Permission.findByPk(id)
  // taken away by two at once: gone is what both wanted
  if (row) await destroySeen(row, version, () => permissionRow(db, id, now))
  return { done: true as const }
}

export const permissionRoutes = [
  answers(api.permission.list, list),
  answers(api.permission.give, give),
  answers(api.permission.change, change),
  answers(api.permission.end, end),
]
