import type { ChemicalRow } from '@selvrin/core/contract'
import { nameOf, withName } from '../house/left'
import type { Row } from '../table/database'

export const withNames = { include: [withName()] }

/** A chemical of one's own as it is shown. */
export const shown = (row: Row<'Chemical'>): ChemicalRow => ({ ...row.get(), changedBy: nameOf(row.by) })
