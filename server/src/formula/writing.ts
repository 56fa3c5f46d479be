import { requireReason } from '@selvrin/core'
import { Op } from 'sequelize'
import type { api, FormulaBody, FormulaRow } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { asSeen, saveSeen } from '../http/changing'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { graveFindings } from './overrule'
import { formulaRow } from './rows'
import { usedFormula } from './used'

interface NewVersion {
  id: string
  formulaId: string
  number: number
  body: FormulaBody
  overrule: string | undefined
  before: FormulaRow | null
}

/** Refuses amounts and chemicals that make no sense; what is grave wants a reason, what is merely unwise is the technician's to decide. */
async function writeVersion(db: Database, { overrule, before, ...version }: NewVersion, by: string, now: number): Promise<void> {
  const catalogue = await catalogueOf(db)
  const grave = graveFindings(usedFormula(version.formulaId, version.body), catalogue)
  const known = before?.overruled ? graveFindings(usedFormula(version.formulaId, before.body), catalogue) : []
  // a reason once given holds while nothing graver is said
  const carried = grave.every((one) => known.includes(one)) ? (before?.overruled ?? undefined) : undefined
  const overruled = requireReason(grave, overrule ?? carried, 'kept')
  await db.FormulaVersion.create({ ...version, overruled, changedBy: by, changedAt: now })
}

export const create: Handler<typeof api.formula.create> = async ({ db, body, who, now }) => {
  await db.Formula.create({ id: body.id })
  const first = { id: body.versionId, formulaId: body.id, number: 1, body: body.body, overrule: body.overrule, before: null }
  await writeVersion(db, first, who.id, now)
  return formulaRow(db, body.id)
}

export const revise: Handler<typeof api.formula.revise> = async ({ db, params, body, who, now }) => {
  await saveSeen(asSeen(db.Formula, { id: params.id, version: body.version }), body.version, () => formulaRow(db, params.id))
  const before = await formulaRow(db, params.id)
  const next = { id: body.versionId, formulaId: params.id, number: before.number + 1, body: body.body, overrule: body.overrule, before }
  await writeVersion(db, next, who.id, now)
  return formulaRow(db, params.id)
}

/** Why a batch's pH was off: its bottles say so no longer. */
export const sayWhy: Handler<typeof api.formula.phWhy> = async ({ db, params, body }) => {
  const [said] = await db.Batch.update({ phWhy: body.reason }, { where: { id: params.id, ph: { [Op.not]: null } } })
  if (said === 0) throw new Refusal(409, 'no-ph', 'That batch has no pH on record.')
  await changeAll(db.Bottle, {}, { batchId: params.id })
  return { done: true as const }
}
