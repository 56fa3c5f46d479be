import { impossible } from '../../error'
import type { EnlargerBody, PaperBody } from './room'
import type { PrintFilter, PrintTry } from './tries'

const filtersOf = (plan: PrintTry): PrintFilter[] =>
  plan.kind === 'strip' ? [plan.filter, ...plan.under.map((one) => one.filter)] : plan.exposures.map((one) => one.filter)

function requirePack(filter: PrintFilter, { paper, enlarger }: { paper: PaperBody; enlarger: EnlargerBody }): void {
  if (filter.kind !== 'pack')
    throw impossible('pack-wanted', `${paper.name} is colour paper: it is printed through yellow, magenta and cyan.`, { field: 'plan' })
  const { filters } = enlarger
  if (filters.kind !== 'set' && Math.max(filter.y, filter.m, filter.c) > filters.max)
    throw impossible('dial-range', `The dials of ${enlarger.name} count to ${filters.max}.`, { field: 'plan' })
}

function requireFilter(filter: PrintFilter, { paper, enlarger }: { paper: PaperBody; enlarger: EnlargerBody }): void {
  if (paper.material !== 'black-and-white') return requirePack(filter, { paper, enlarger })
  if (filter.kind === 'pack')
    throw impossible('no-colour', `${paper.name} prints grey: it takes a grade, no colour filters.`, { field: 'plan' })
  if (filter.kind === 'none') return
  if (paper.grade !== null)
    throw impossible('one-grade', `${paper.name} has one grade, ${paper.grade}: it is printed without a filter.`, { field: 'plan' })
  if ((filter.kind === 'set') !== (enlarger.filters.kind === 'set'))
    throw impossible(
      'other-filters',
      enlarger.filters.kind === 'set' ? `${enlarger.name} has loose filters, no dials.` : `${enlarger.name} has dials, no loose filters.`,
      { field: 'plan' },
    )
  if (filter.kind === 'dials' && enlarger.filters.kind !== 'set') {
    const { max, kind } = enlarger.filters
    if (filter.y > max || filter.m > max)
      throw impossible('dial-range', `The dials of ${enlarger.name} count to ${max}.`, { field: 'plan' })
    if (kind === 'single' && filter.y > 0 && filter.m > 0)
      throw impossible('one-dial', `${enlarger.name} is set by one filter at a time: yellow or magenta.`, { field: 'plan' })
  }
}

/**
 * Refuses a try that cannot be exposed with that paper on that enlarger: a filter on paper of one grade, dials where filters are loose, places of an exposure that is not there.
 * @throws Refused 'pack-wanted', 'no-colour', 'one-grade', 'other-filters', 'dial-range', 'one-dial', 'no-exposure'
 * @example
 * requireTry(aPrint, { paper: aPaper, enlarger: anEnlarger }) // → undefined
 */
export function requireTry(plan: PrintTry, room: { paper: PaperBody; enlarger: EnlargerBody }): void {
  for (const filter of filtersOf(plan)) requireFilter(filter, room)
  if (plan.kind === 'print' && plan.places.some((place) => place.exposure >= plan.exposures.length))
    throw impossible('no-exposure', 'A place belongs to an exposure that is not there.', { field: 'plan' })
}
