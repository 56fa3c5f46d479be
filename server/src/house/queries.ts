import type { Database } from '../table/database'

/** Takes a name until the end of the transaction, or answers false where it is someone else's and `wait` is not. SQL for the lock, which is no row's. */
const takeName = async (db: Database, asked: { name: string; wait: boolean }): Promise<boolean> =>
  (
    await db.query<{ mine: boolean }>(
      `select case when $wait then pg_advisory_xact_lock(hashtext($name)) is not null else pg_try_advisory_xact_lock(hashtext($name)) end as mine`,
      asked,
    )
  )[0]?.mine ?? false

/** Whoever holds the name goes on alone until the end of the transaction; others wait. */
export const oneAtATime = (db: Database, name: string): Promise<unknown> => takeName(db, { name, wait: true })

/** Does work that one process does for all, unless another is at it. */
export const inOneProcess = (db: Database, name: string, work: () => Promise<unknown>): Promise<void> =>
  db.transaction(async () => {
    if (await takeName(db, { name, wait: false })) await work()
  })
