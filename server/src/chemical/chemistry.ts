import * as core from '@selvrin/core'
import { ownChemical, type ChemicalRow } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'

/** The catalogue of this darkroom: the built-in one with its own chemicals and edits. */
export async function catalogueOf(db: Database, tx?: Transaction): Promise<core.Catalogue> {
  const own = await db.rows<Pick<ChemicalRow, 'id' | 'body'>>('select id, body from chemical', [], tx)
  return core.withOwn(own.map(ownChemical))
}
