import type { PlanRequest } from '../process/request'
import { requirePermitted, stillToDo, type Permitting } from './permission'

const terms = {
  ...{ processId: 'p', vesselIds: ['small'], bottleIds: ['d1', 'f1'], practice: true, others: true, loading: true },
  until: 1000,
}
const process = { id: 'p', versionId: 'v2', name: 'Black-and-white negative' }
const permitting = (more: Partial<Permitting> = {}): Permitting => ({
  ...{ terms, process, personId: 'tilda', now: 500, names: { small: 'the small tank', d2: 'D2' } },
  learned: { versions: ['v2'], loaded: ['135'] },
  ...more,
})
const film = { id: 'r', memberId: 'tilda', film: 'Low tide 100', format: '135-36' as const, ei: 100, pushStops: 0 }
const request = (more: Partial<PlanRequest> = {}): PlanRequest => ({
  ...{ processVersionId: 'v2', options: {}, vesselId: 'small', films: [film], chartRowIds: [], temperatureC: 20, agitation: '30-5-30' },
  baths: [{ role: 'developer', bottleId: 'd1', parts: [1, 1] }],
  ...more,
})
const said = (asked: PlanRequest, more: Partial<Permitting> = {}): string => {
  try {
    requirePermitted(asked, permitting(more))
    return ''
  } catch (error) {
    return (error as Error).message
  }
}

test('a run as it was allowed is allowed', () => expect(said(request())).toBe(''))

test.each([
  ['nothing was allowed', {}, { terms: null }, 'You may not develop with “Black-and-white negative” by yourself yet.'],
  ['it has ended', {}, { now: 1000 }, 'has ended'],
  ['not practised', {}, { learned: { versions: [], loaded: [] } }, 'Practise “Black-and-white negative” once with nothing wrong first.'],
  ['practised as it was before', {}, { learned: { versions: ['v1'], loaded: [] } }, 'Practise'],
  ['planned by an older version', { processVersionId: 'v1' }, {}, 'was changed meanwhile'],
  ['another tank', { vesselId: 'large' }, {}, 'is for the small tank.'],
  ['another bottle', { baths: [{ role: 'fixer', bottleId: 'd2', parts: [1] }] }, {}, 'D2 is not among the bottles you may pour from.'],
  ['films of others', { films: [{ ...film, memberId: 'bram' }] }, { terms: { ...terms, others: false } }, 'is for your own films'],
  ['a kind of reel never loaded', { films: [film, { ...film, memberId: 'bram', format: '120' as const }] }, {}, 'load a reel of 120'],
])('%s', (_, asked, more, sentence) => expect(said(request(asked), more)).toContain(sentence))

test('where nothing is named every tank and bottle is meant, and what is not asked is not asked', () => {
  const free = { ...terms, vesselIds: [], bottleIds: [], practice: false, loading: false, until: null }
  const nothing = { versions: [], loaded: [] }
  const others = request({ vesselId: 'any', films: [{ ...film, memberId: 'bram', format: '4x5in' }] })
  expect(said(others, { terms: free, learned: nothing, now: 9e12 })).toBe('')
  expect(stillToDo({ terms: free, process, learned: nothing, now: 9e12 })).toBe('')
})
