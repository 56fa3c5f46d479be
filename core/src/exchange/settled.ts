import type { z } from 'zod'
import type { ImportRow } from '../contract/import'
import { schemaSentence } from '../contract/sentences'
import { differences, type Understood } from './understood'

/** Finds what is there by its name, whatever the case; a name twice in a file is wrong. */
export function settler<T extends { id: string; name: string }>(there: T[], newId: () => string) {
  const byName = new Map(there.map((row) => [row.name.toLowerCase(), row]))
  const seen = new Map<string, number>()
  return (line: number, name: string): { before: T | undefined; id: string; wrongly: string } => {
    const key = name.toLowerCase()
    const earlier = seen.get(key)
    if (earlier === undefined) seen.set(key, line)
    const before = byName.get(key)
    return { before, id: before?.id ?? newId(), wrongly: earlier === undefined ? '' : `Line ${earlier} has one of that name already.` }
  }
}

/** What would be kept, or the first thing against it. */
export function fits<T extends z.ZodType>(schema: T, wanted: unknown, problems: string[]): z.output<T> | null {
  const parsed = schema.safeParse(wanted, { error: schemaSentence })
  if (parsed.success) return parsed.data
  const issue = parsed.error.issues[0]
  problems.push(`${issue?.path[0] === undefined ? 'line' : String(issue.path[0])}: ${issue?.message ?? 'cannot be kept'}`)
  return null
}

/** What a record comes to, held against what is there. */
export function answer(line: number, says: string, before: object | undefined, after: object, row: ImportRow): Understood {
  const changes = before ? differences(before as Record<string, unknown>, after as Record<string, unknown>) : []
  const state = !before ? 'new' : changes.length > 0 ? 'changed' : 'same'
  return { line, state, says, changes, problems: [], notes: [], row: state === 'same' ? null : row }
}
