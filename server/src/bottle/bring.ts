import type { api } from '@selvrin/core/contract'
import { formulaRow } from '../formula/rows'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { putOnShelf } from './putOnShelf'
import { bottleById } from './rows'

/** A bought concentrate or kit comes onto the shelf. */
export const bring: Handler<typeof api.bottle.bring> = async ({ db, body: { id, sizeMl, ml, formulaId }, who, now }) => {
  const { body, versionId } = await formulaRow(db, formulaId)
  if (body.additions.length > 0 || body.combine) throw new Refusal(422, 'mixed-here', `${body.name} is mixed here: use the scales.`)
  const from = { batchId: null, fromBottleId: null, parts: null }
  await putOnShelf(db, { ...from, id, sizeMl, ml, family: body.family, formulaVersionId: versionId, by: who.id, now })
  return bottleById(db, id, now)
}
