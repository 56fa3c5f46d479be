import PgBoss from 'pg-boss'
import type { JobName, Jobs } from '../house/jobs'
import type { Database } from '../table/database'

const jobNames: readonly JobName[] = ['weeks']

interface Options {
  /** s after which a job whose process was killed is taken up by another; a job has to be done sooner */
  lostAfterS?: number
  /** whether this process does work, or only asks for it */
  works?: boolean
}

/** the queue's own tables stand in a schema of theirs, which its package keeps up to date */
const schema = 'job'
/** s between two looks for something to do, and for something that was lost */
const lookS = 1
const lookForLostS = 5

/**
 * The queue of jobs in the database, shared by all server processes: each job is done by one, and by another where that one was killed. Of each kind one waits at most beside the one
 * that is being done: what is asked for meanwhile is the same again. `work` does a job of a name; its error has the job tried again, a few times. Answers how to ask, and how to end.
 */
export async function startJobs(
  db: Database,
  work: Record<JobName, (signal: AbortSignal) => Promise<void>>,
  { lostAfterS = 40, works = true }: Options = {},
): Promise<Jobs & { close: () => Promise<void> }> {
  const boss = new PgBoss({ connectionString: db.url, schema, max: 2, schedule: false, maintenanceIntervalSeconds: lookForLostS })
  const ending = new AbortController()
  // an outage of the database is over some time: it looks again
  boss.on('error', () => undefined)
  await boss.start()
  for (const name of jobNames) {
    await boss.createQueue(name, { name, policy: 'stately', retryLimit: 5, retryDelay: 1, expireInSeconds: lostAfterS })
    if (works) await boss.work(name, { pollingIntervalSeconds: lookS }, () => work[name](ending.signal))
  }
  return {
    ask: async (name, { inS = 0 } = {}) => {
      await boss.send(name, {}, { db: inTransaction(db), startAfter: inS })
    },
    close: async () => {
      ending.abort()
      await boss.stop({ graceful: false, wait: true })
    },
  }
}

/** The queue's own statements, sent where the caller's go. */
const inTransaction = (db: Database): PgBoss.Db => ({
  executeSql: async (text, values) => {
    const [rows] = await db.sequelize.query(text, { bind: values.map((one: unknown) => one ?? null) })
    return { rows: rows as unknown[] }
  },
})
