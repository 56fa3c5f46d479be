import * as core from '@selvrin/core'
import { ownChemical, type ChemicalRow } from '@selvrin/core/contract'
import type { Database } from '../table/database'

let last: { own: string; catalogue: core.Catalogue } | null = null
/** The built-in catalogue with own chemicals and edits; the same object for the same chemicals, so that what was worked out with it holds. */
function catalogueWith(own: Pick<ChemicalRow, 'id' | 'body'>[]): core.Catalogue {
  const written = JSON.stringify(own)
  if (last?.own !== written) last = { own: written, catalogue: core.withOwn(own.map(ownChemical)) }
  return last.catalogue
}

/** The catalogue of this darkroom. */
export const catalogueOf = async (db: Database): Promise<core.Catalogue> =>
  catalogueWith(await db.Chemical.findAll({ attributes: ['id', 'body'], order: ['id'], raw: true }))
