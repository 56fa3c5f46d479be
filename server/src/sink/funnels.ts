import type { Drum as Family } from '@selvrin/core'
import type { Funnel, sinkApi } from '@selvrin/core/contract'
import { lastThrough } from '../drum/pouring'
import { notFound } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database, Row } from '../table/database'

async function shown(db: Database, { id, version, name, rinsedAt }: Row<'Funnel'>): Promise<Funnel> {
  const last = await lastThrough(db, id, rinsedAt)
  return { id, version, name, rinsedAt, last: last && { ...last, family: last.family as Family } }
}

/** Funnels in use, with what went through each last. */
export async function funnelRows(db: Database): Promise<Funnel[]> {
  const rows = await db.Funnel.findAll({ where: { goneAt: null }, order: ['name', 'id'] })
  return Promise.all(rows.map((row) => shown(db, row)))
}

export const make: Handler<typeof sinkApi.funnel> = async ({ db, body: { id, name }, now }) =>
  shown(db, await db.Funnel.create({ id, name, rinsedAt: now }))

export const rinsed: Handler<typeof sinkApi.rinsed> = async ({ db, params: { id }, body: { version }, now }) => {
  const row = await db.Funnel.findByPk(id)
  if (!row) throw notFound('funnel')
  await saveSeen(row.set({ rinsedAt: now }), version, () => shown(db, row))
  return shown(db, row)
}
