import { Op } from 'sequelize'

/** A page of a list out of one row more than asked for. */
export function pageOf<T extends { id: string }>(rows: T[], limit: number): { rows: T[]; after: string | null } {
  const page = rows.slice(0, limit)
  return { rows: page, after: rows.length > limit ? (page.at(-1)?.id ?? null) : null }
}

/** Rows in the order of their ids as given. */
export function inOrderOf<T extends { id: string }>(ids: string[], rows: T[]): T[] {
  const byTheirId = new Map(rows.map((row) => [row.id, row]))
  return ids.flatMap((id) => byTheirId.get(id) ?? [])
}

/** What was typed as patterns for the schema's `plain`: every word, whatever the case and the accents. */
export const wordsOf = (typed: string): string[] =>
  typed
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => `%${word.replace(/[\\%_]/g, '\\$&')}%`)

/** Rows in the order of their ids from behind `after` on, one more than asked for. */
export const byId = ({ limit, after }: { limit: number; after?: string | undefined }, direction: 'asc' | 'desc' = 'asc') => ({
  where: after === undefined ? {} : { id: { [direction === 'asc' ? Op.gt : Op.lt]: after } },
  order: [['id', direction]] as [string, string][],
  limit: limit + 1,
})
