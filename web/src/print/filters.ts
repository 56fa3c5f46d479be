import { dialsFor, filterByWedges, type FilterPack, type FilterWay, type Grade, type PrintFilter } from '@selvrin/core'
import type { Enlarger, Paper } from '@selvrin/core/contract'

/** Filters as an enlarger sets them, for a paper. */
export interface Filtering {
  paper: Paper | null
  enlarger: Enlarger | null
  way: FilterWay | null
}

/** Where the filters of a colour print begin, until one came out right: as the pages of a first print do. House default. */
export const firstPack: FilterPack = { y: 60, m: 50, c: 0 }

/** A filter of the enlarger for a grade, as the paper takes one: by its own wedges, by the table of its kind beyond them. */
export function filterFor(grade: Grade, { paper, enlarger, way }: Filtering): PrintFilter {
  const filters = enlarger?.filters
  if (paper && paper.material !== 'black-and-white') return { kind: 'pack', ...firstPack }
  if (paper?.grade !== null || !filters) return { kind: 'none' }
  if (filters.kind === 'set') return { kind: 'set', grade }
  const own = way?.by === 'wedges' ? filterByWedges(grade, way)?.filter : null
  return own ?? { kind: 'dials', ...dialsFor(grade, filters), grade }
}

/** A filter as this enlarger sets it and this paper takes it. */
export function refiltered(filter: PrintFilter, sameEnlarger: boolean, of: Filtering): PrintFilter {
  if (of.paper && of.paper.material !== 'black-and-white') return filter.kind === 'pack' ? filter : filterFor('2', of)
  const fits = of.enlarger?.filters.kind === 'set' ? 'set' : 'dials'
  if (of.paper?.grade !== null) return { kind: 'none' }
  if (filter.kind === 'none' || filter.kind === 'pack') return filterFor('2', of)
  return (filter.kind === fits && sameEnlarger) || filter.grade === null ? filter : filterFor(filter.grade, of)
}
