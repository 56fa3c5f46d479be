import { markOf } from '@selvrin/core'
import { oneAtATime } from '../house/queries'
import type { Database } from '../table/database'

/** What is written large on the tape: the family's letter and the next number of that letter, such as D5. */
export async function nextLabel(db: Database, family: string): Promise<{ letter: string; number: number }> {
  const { letter } = markOf(family)
  await oneAtATime(db, `label ${letter}`)
  const last = (await db.Bottle.max('number', { where: { letter } })) as number | null
  return { letter, number: (last ?? 0) + 1 }
}
