import { checkFormula, decideBegin, scaleFormula, tasksOfMix } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { requireHandled } from '../check/blocks'
import { catalogueOf } from '../chemical/chemistry'
import { formulaRow } from '../formula/rows'
import { usedFormula } from '../formula/used'
import type { Handler } from '../http/route'
import { requireBathOf } from '../kit/baths'
import { handOf, holdToTraining } from '../training/holding'
import { mixRow } from './rows'

/** Begins to mix a formula, where the rules of mixing allow it. */
export const start: Handler<typeof api.mix.start> = async ({ db, body, who, now }) => {
  const formula = await formulaRow(db, body.formulaId)
  const { name, combine, additions } = formula.body
  const catalogue = await catalogueOf(db)
  await requireHandled(
    db,
    additions.map((line) => line.chemical),
    { now, catalogue },
  )
  const hand = await handOf(db, body.handId, who)
  await holdToTraining(db, hand, tasksOfMix(formula.body, catalogue), now)
  const findings = checkFormula(scaleFormula(usedFormula(formula.id, formula.body), body.finalMl), catalogue)
  const overruled = decideBegin({ name, ofParts: combine !== undefined, bought: additions.length === 0, findings }, body)
  const { secondCheck } = await db.Darkroom.findOne({ attributes: ['secondCheck'], rejectOnEmpty: true })
  const { id, finalMl, note } = body
  const begun = {
    id,
    finalMl,
    note,
    overruled,
    secondCheck,
    startedBy: who.id,
    startedAt: now,
    handPerson: hand.id === who.id ? null : hand.id,
  }
  if (body.kitSetId !== undefined) await requireBathOf(db, body.kitSetId, formula.id)
  await db.Mix.create({ ...begun, formulaVersionId: formula.versionId, kitSetId: body.kitSetId ?? null })
  return mixRow(db, body.id)
}
