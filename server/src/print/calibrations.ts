import { contactSeconds, DomainError, requireWedges, type CalibrationBody } from '@selvrin/core'
import type { CalibrationRow, traysApi } from '@selvrin/core/contract'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'

/** What holds, the newest first. */
export async function calibrationRows(db: Database, where: object = {}): Promise<CalibrationRow[]> {
  const rows = await db.Calibration.findAll({ where: { takenBackAt: null, ...where }, include: [withName()], order: [['at', 'desc']] })
  return rows.map((row) => ({ id: row.id, version: row.version, at: row.at, by: nameOf(row.by), body: row.body }))
}

async function requireColour(db: Database, paperId: string): Promise<void> {
  const paper = await db.Paper.findByPk(paperId, { rejectOnEmpty: true })
  if (paper.body.material === 'black-and-white')
    throw new DomainError('no-colour', `${paper.body.name} prints grey: what a dial costs is matched on colour paper.`)
}

/** Enlarger and paper it was made on are those of the house, and a contact strip says a time. */
export async function requireSound(db: Database, body: CalibrationBody): Promise<void> {
  const enlarger = body.enlargerId === null ? null : await db.Enlarger.findOne({ where: { id: body.enlargerId, goneAt: null } })
  if (body.enlargerId !== null && !enlarger) throw notFound('enlarger')
  if (body.paperId !== null && (await db.Paper.count({ where: { id: body.paperId, goneAt: null } })) === 0) throw notFound('paper')
  if (body.kind === 'filters' && body.paperId !== null) await requireColour(db, body.paperId)
  if (body.kind === 'wedges' && enlarger) requireWedges(body, enlarger.body)
  if (body.kind === 'contact' && contactSeconds(body) === null)
    throw new DomainError('no-end', 'The last step is still darker than the one before it: expose a strip with more.')
}

export const calibrate: Handler<typeof traysApi.calibrate> = async ({ db, body: { id, ...rest }, who, now }) => {
  await requireSound(db, rest.body)
  await db.Calibration.create({ id, at: now, byPerson: who.id, body: rest.body })
  const [row] = await calibrationRows(db, { id })
  if (!row) throw notFound('calibration')
  return row
}

/** It was not so: nothing takes it any more. */
export const calibrateBack: Handler<typeof traysApi.calibrateBack> = async ({ db, params: { id }, body: { version }, who, now }) => {
  const row = await db.Calibration.findByPk(id)
  if (!row || row.takenBackAt !== null) throw notFound('calibration')
  await saveSeen(row.set({ takenBackAt: now, takenBackBy: who.id }), version, () => row)
  return { done: true as const }
}
