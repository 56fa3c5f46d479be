import type { RunSummary } from '@selvrin/core/contract'

/** A load that was developed before and can be again: what it was, how often, and how it came out. */
export interface AgainKind {
  runId: string
  number: number
  film: string
  detail: string
  times: number
  /** how many of those that anyone has judged were right */
  judged: number
  right: number
}

/** The last run of each film at its exposure index, by process, the newest first; how often it ran among those that are known. */
export function againKinds(past: RunSummary[], most: number): AgainKind[] {
  const kinds = new Map<string, AgainKind>()
  for (const run of past) {
    const [film] = run.films
    if (run.state !== 'done' || film === undefined) continue
    const names = [...new Set(run.films.map((name, i) => `${name} at ${run.eis[i] ?? '?'}`))].join(', ')
    const key = `${names}|${run.processName}`
    const judged = run.results.filter((one) => one !== null)
    const known = kinds.get(key) ?? {
      ...{ runId: run.id, number: run.number, film: names, times: 0, judged: 0, right: 0 },
      detail: `${run.processName}, ${run.vessel}, as run ${run.number}`,
    }
    known.times++
    known.judged += judged.length
    known.right += judged.filter((one) => one === 'right').length
    kinds.set(key, known)
  }
  return [...kinds.values()].slice(0, most)
}

/** How often, and how it came out, in words. */
export const cameOut = ({ times, judged, right }: AgainKind): string =>
  `${times === 1 ? 'once' : `${times} times`}${judged === 0 ? '' : right === judged ? ', right' : `, right ${right} of ${judged}`}`
