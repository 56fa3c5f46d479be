import * as core from '@selvrin/core'
import { ownChemical } from '@selvrin/core/contract'
import type { Database } from '../table/database'

/** The catalogue of this darkroom: the built-in one with its own chemicals and edits. */
export async function catalogueOf(db: Database): Promise<core.Catalogue> {
  const own = await db.Chemical.findAll({ attributes: ['id', 'body'], raw: true })
  return core.withOwn(own.map(ownChemical))
}
