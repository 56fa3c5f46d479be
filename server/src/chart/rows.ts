import type { ChartRow as Shown } from '@selvrin/core/contract'
import { nameOf, withName } from '../house/left'
import type { Row } from '../table/database'

export const withNames = { include: [withName(), withName('tester')] }

/** A row of the chart as it is shown. */
export const shown = (row: Row<'ChartRow'>): Shown => ({
  ...row.get(),
  by: nameOf(row.by),
  tried: row.triedAt === null ? null : { at: row.triedAt, by: nameOf(row.tester), note: row.triedNote },
})
