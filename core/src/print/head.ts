import { DomainError, impossible } from '../error'
import { weightsFor, type CalibrationBody, type WedgesBody } from './calibration'
import type { FilterWay } from './sheet/judged'
import { filterWayOf, type EnlargerBody, type PaperBody } from './sheet/room'
import { wedgeOf } from './wedge'

/**
 * How an enlarger changes grades on a paper: by the newest wedges that were read of both, or as its kind does on the whole; before colour paper, how it changes colours.
 * @example
 * filterWayFor({ id: 'e', filters: { kind: 'single', max: 170 } }, { id: 'p', material: 'black-and-white' }, []) // → { by: 'table', kind: 'single', max: 170 }
 */
export function filterWayFor(
  { id: enlargerId, filters }: { id: string; filters: EnlargerBody['filters'] },
  paper: { id: string; material: PaperBody['material'] } | undefined,
  all: { at: number; body: CalibrationBody }[],
): FilterWay {
  const paperId = paper?.id
  if (paper && paper.material !== 'black-and-white')
    return { by: 'pack', material: paper.material, weights: weightsFor(enlargerId, paperId, all), loose: filters.kind === 'set' }
  if (filters.kind === 'set') return filterWayOf(filters)
  const own = all.flatMap(({ at, body }) =>
    body.kind === 'wedges' && body.enlargerId === enlargerId && body.paperId === paperId ? [{ at, body }] : [],
  )
  const newest = own.reduce<(typeof own)[number] | null>((best, one) => (best && best.at >= one.at ? best : one), null)?.body
  if (!newest) return filterWayOf(filters)
  return { by: 'wedges', key: newest.key, wedges: newest.readings.map((one) => wedgeOf(one, newest.stepD)) }
}

/**
 * Refuses wedges that say nothing of a head: of filters that are loose, twice of one setting, beyond its dials, in another order, without the light tone that shall be kept.
 * @throws Refused 'no-dials', 'one-setting', 'dial-range'; DomainError 'no-wedge', 'no-data'
 * @example
 * requireWedges(someWedges, { name: 'Tall bench', filters: { kind: 'single', max: 170 } }) // → undefined
 */
export function requireWedges({ readings, stepD, key }: WedgesBody, { name, filters }: Pick<EnlargerBody, 'name' | 'filters'>): void {
  if (filters.kind === 'set')
    throw impossible('no-dials', `${name} has loose filters: wedges are of heads with dials.`, { field: 'enlargerId' })
  const settings = readings.map(({ y, m }) => m - y)
  if (new Set(settings).size < settings.length)
    throw impossible('one-setting', 'Two wedges are of the same setting: keep the better one.', { field: 'readings' })
  if (readings.some(({ y, m }) => y > filters.max || m > filters.max))
    throw impossible('dial-range', `The dials of ${name} count to ${filters.max}.`, { field: 'readings' })
  const wedges = readings.map((one) => wedgeOf(one, stepD))
  if (key === 'light' && wedges.some((one) => one.lightSpeed === undefined))
    throw new DomainError('no-data', 'To keep a light tone the same, look for it on every wedge.')
}
