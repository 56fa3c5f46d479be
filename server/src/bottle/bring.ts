import { requireBrought } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { formulaRow } from '../formula/rows'
import type { Handler } from '../http/route'
import { putOnShelf } from './putOnShelf'
import { bottleById } from './rows'

/** A bought concentrate or kit comes onto the shelf. */
export const bring: Handler<typeof api.bottle.bring> = async ({ db, body: { id, sizeMl, ml, formulaId }, who, now }) => {
  const { body, versionId } = await formulaRow(db, formulaId)
  requireBrought(body)
  const from = { batchId: null, fromBottleId: null, parts: null }
  await putOnShelf(db, { ...from, id, sizeMl, ml, family: body.family, formulaVersionId: versionId, by: who.id, now })
  return bottleById(db, id, now)
}
