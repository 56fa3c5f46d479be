import { api } from '@selvrin/core/contract'
import { saveSeen } from '../http/changing'
import { notFound } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'

async function darkroomRow(db: Database) {
  const row = await db.Darkroom.findOne()
  if (!row) throw notFound('darkroom')
  return row
}

const getDarkroom: Handler<typeof api.darkroom.get> = async ({ db }) => (await darkroomRow(db)).get()

const changeDarkroom: Handler<typeof api.darkroom.change> = async ({ db, body: { version, ...facts } }) => {
  const row = await darkroomRow(db)
  row.set(facts)
  await saveSeen(row, version, async () => (await darkroomRow(db)).get())
  return row.get()
}

export const darkroomRoutes = [answers(api.darkroom.get, getDarkroom), answers(api.darkroom.change, changeDarkroom)]
