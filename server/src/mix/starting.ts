import { checkFormula, scaleFormula } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { requireReason } from '../formula/overrule'
import { formulaRow } from '../formula/rows'
import { usedFormula } from '../formula/used'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { mixRow } from './rows'

/** Begins to mix a formula, where the rules of mixing allow it. */
export const start: Handler<typeof api.mix.start> = async ({ db, body, who, now }) => {
  const formula = await formulaRow(db, body.formulaId)
  if (formula.body.combine)
    throw new Refusal(422, 'of-parts', `${formula.body.name} is poured together from its parts: do it on its own page in the Formulary.`)
  if (formula.body.additions.length === 0)
    throw new Refusal(422, 'bought', `${formula.body.name} is bought ready made: bring its bottle onto the shelf instead.`)
  const findings = checkFormula(scaleFormula(usedFormula(formula.id, formula.body), body.finalMl), await catalogueOf(db))
  const block = findings.find((finding) => finding.severity === 'error' && finding.rule.startsWith('never-'))
  if (block) throw new Refusal(422, 'never-meets', `This is not mixed here: ${block.message} Change the formula.`)
  if (findings.some((finding) => finding.rule === 'mix-13' && finding.severity === 'warning') && body.note === '')
    throw new Refusal(
      422,
      'part-of-pack',
      'A part of a pack is no fair sample of it. Mix the whole pack, or say why a part is taken: it is noted on the batch.',
      { field: 'note' },
    )
  const grave = findings.filter((finding) => finding.severity === 'error').map((finding) => finding.message)
  const overruled = requireReason(grave, body.overrule, 'mixed')
  const { secondCheck } = await db.Darkroom.findOne({ attributes: ['secondCheck'], rejectOnEmpty: true })
  const { id, finalMl, note } = body
  const begun = { id, finalMl, note, overruled, secondCheck, startedBy: who.id, startedAt: now }
  await db.Mix.create({ ...begun, formulaVersionId: formula.versionId })
  return mixRow(db, body.id)
}
