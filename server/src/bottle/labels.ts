import { markOf } from '@selvrin/core'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { newCode } from '../session/password'

/** A code for a printed label, unique among bottles and jars. */
export async function newLabelCode(db: Database, tx: Transaction | undefined): Promise<string> {
  for (;;) {
    const code = newCode(6)
    const kept = await db.rows('insert into label_code (code) values ($1) on conflict do nothing returning code', [code], tx)
    if (kept.length > 0) return code
  }
}

/** Many codes at once, for an import. */
export async function newLabelCodes(db: Database, count: number, tx: Transaction | undefined): Promise<string[]> {
  const codes: string[] = []
  while (codes.length < count) {
    const wanted = Array.from({ length: count - codes.length }, () => newCode(6))
    const kept = await db.rows<{ code: string }>(
      'insert into label_code (code) select distinct unnest($1::text[]) on conflict do nothing returning code',
      [wanted],
      tx,
    )
    codes.push(...kept.map((row) => row.code))
  }
  return codes
}

/** What is written large on the tape: the family's letter and the next number of that letter, such as D5. */
export async function nextLabel(db: Database, family: string, tx: Transaction | undefined): Promise<{ letter: string; number: number }> {
  const { letter } = markOf(family)
  await db.run('select pg_advisory_xact_lock(hashtext($1))', [`label ${letter}`], tx)
  const last = await db.one<{ number: number }>('select coalesce(max(number), 0) as number from bottle where letter = $1', [letter], tx)
  return { letter, number: (last?.number ?? 0) + 1 }
}
