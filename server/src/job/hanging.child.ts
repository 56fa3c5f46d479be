import { connect } from '../database/connection'
import { startJobs } from './jobs'

/* A server process that begins a job and never ends it, for the test that kills it: it says so when it has begun. */
const db = connect(process.env.DATABASE_URL ?? '')
const hang = (): Promise<void> => {
  process.stdout.write('began\n')
  return new Promise(() => undefined)
}
startJobs(db, { weeks: hang }, { lostAfterS: 3 }).then(
  () => process.stdout.write('ready\n'),
  (error: unknown) => {
    console.error(error)
    process.exit(1)
  },
)
