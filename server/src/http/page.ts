/** One page of a list: rows are asked one more than the limit, to know whether there are more. */
export const pageOf = <T extends { id: string }>(rows: T[], limit: number): { rows: T[]; after: string | null } => {
  const shown = rows.slice(0, limit)
  return { rows: shown, after: rows.length > limit ? (shown.at(-1)?.id ?? null) : null }
}
