import { requireWhole } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { asSeen, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import { processRow } from './rows'

export const create: Handler<typeof api.process.create> = async ({ db, body: { id, versionId, body }, who, now }) => {
  requireWhole(body)
  await db.Process.create({ id })
  await db.ProcessVersion.create({ id: versionId, processId: id, number: 1, body, changedBy: who.id, changedAt: now })
  return processRow(db, id)
}

export const revise: Handler<typeof api.process.revise> = async ({ db, params, body: { version, versionId, body }, who, now }) => {
  requireWhole(body)
  await saveSeen(asSeen(db.Process, { id: params.id, version }), version, () => processRow(db, params.id))
  const { number } = await processRow(db, params.id)
  await db.ProcessVersion.create({ id: versionId, processId: params.id, number: number + 1, body, changedBy: who.id, changedAt: now })
  return processRow(db, params.id)
}
