import { conflict, type Refused } from '../error'
import type { PlanRequest } from '../process/request'
import { loadKindOf, type LoadKind } from '../process/vesselCover'
import type { PermissionTerms } from './terms'

/** What somebody has practised with nothing wrong. */
export interface Learned {
  /** versions of processes that were practised as runs */
  versions: string[]
  /** what was loaded with eyes shut or in the dark */
  loaded: LoadKind[]
}

/** A process as it is now. */
interface Allowed {
  id: string
  versionId: string
  name: string
}

/** All that a member's own run is held against. */
export interface Permitting {
  terms: PermissionTerms | null
  process: Allowed
  personId: string
  learned: Learned
  /** ms */
  now: number
  /** names of what the terms are about, by id */
  names: Record<string, string>
}

const lastWord = 'Ask the technician on duty.'

/**
 * What is to be done before a permission counts, as a sentence; empty where it counts now.
 * @example
 * stillToDo({ terms: { processId: 'p', vesselIds: [], bottleIds: [], practice: true, others: false, loading: false, until: null }, process: { id: 'p', versionId: 'v2', name: 'Monobath' }, learned: { versions: [], loaded: [] }, now: 0 }) // → 'Practise “Monobath” once with nothing wrong first.'
 */
export function stillToDo({
  terms,
  process,
  learned,
  now,
}: Pick<Permitting, 'process' | 'learned' | 'now'> & { terms: PermissionTerms }): string {
  if (terms.until !== null && now >= terms.until) return `Your permission for “${process.name}” has ended. ${lastWord}`
  if (terms.practice && !learned.versions.includes(process.versionId)) return `Practise “${process.name}” once with nothing wrong first.`
  return ''
}

const refused = (message: string, more: Refused['more'] = {}): Refused => conflict('not-permitted', message, more)

/**
 * Whether a member may do this run by themselves.
 * @throws Refused 'not-permitted', with what to do about it
 * @example
 * requirePermitted({ films: [] }, { terms: null, process: { id: 'p', versionId: 'v', name: 'Monobath' }, personId: 'm', learned: { versions: [], loaded: [] }, now: 0, names: {} }) // throws 'not-permitted'
 */
export function requirePermitted(request: PlanRequest, permitting: Permitting): void {
  const { terms, process, personId, learned, names } = permitting
  if (!terms) throw refused(`You may not develop with “${process.name}” by yourself yet. ${lastWord}`)
  const first = stillToDo({ ...permitting, terms })
  if (first) throw refused(first)
  if (request.processVersionId !== process.versionId)
    throw refused(`“${process.name}” was changed meanwhile. Plan the run anew, with the process as it is now.`)
  if (terms.vesselIds.length > 0 && !terms.vesselIds.includes(request.vesselId))
    throw refused(`Your permission for “${process.name}” is for ${named(terms.vesselIds, names)}. ${lastWord}`)
  const bath = request.baths.find((one) => terms.bottleIds.length > 0 && !terms.bottleIds.includes(one.bottleId))
  if (bath) throw refused(`${names[bath.bottleId] ?? 'This bottle'} is not among the bottles you may pour from. ${lastWord}`)
  const foreign = request.films.filter((film) => film.memberId !== personId)
  if (foreign.length === 0) return
  if (!terms.others) throw refused(`Your permission for “${process.name}” is for your own films. ${lastWord}`)
  const untried = foreign.map((film) => loadKindOf(film.format)).find((kind) => !learned.loaded.includes(kind))
  if (terms.loading && untried)
    throw refused(
      `Before films of others: load ${untried === 'sheets' ? 'sheets' : `a reel of ${untried}`} for practice without a fault, with eyes shut or in the dark.`,
    )
}

const named = (ids: string[], names: Record<string, string>): string => ids.map((one) => names[one] ?? 'a tank that is gone').join(' or ')
