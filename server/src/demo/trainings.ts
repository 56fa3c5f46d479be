import { dayMs, trainingEnds, type LoadingStage, type TrainingTask } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'
import { noticeEnd } from '../training/noticing'

type Shown = [task: TrainingTask, daysAgo: number, stage?: LoadingStage]
/** What each member of the demo was shown, and how long ago: some of it ends soon, some has ended, one is not in the dark yet. */
const shown: Record<string, Shown[]> = {
  tilda: [
    ['load-135', 150, 'dark'],
    ['load-120', 90, 'dark'],
    ['powders', 340],
    ['colour-developers', 120],
    ['bleaches', 120],
    ['toners', 60],
    ['coating', 60],
    ['drums', 380],
    ['spills', 150],
  ],
  bram: [
    ['load-135', 200, 'dark'],
    ['load-120', 200, 'dark'],
    ['spills', 200],
  ],
  nell: [
    ['powders', 30],
    ['drums', 30],
    ['spills', 30],
  ],
  jory: [['load-135', 6, 'eyes-shut']],
  wanda: [
    ['load-sheets', 100, 'dark'],
    ['coating', 350],
    ['acid-alkali', 170],
  ],
  pell: [
    ['load-135', 370, 'dark'],
    ['spills', 370],
  ],
  ansa: [
    ['colour-developers', 40],
    ['bleaches', 40],
    ['load-135', 45, 'dark'],
  ],
  corin: [
    ['powders', 80],
    ['acid-alkali', 80],
  ],
  lotte: [['load-120', 20, 'dark']],
  huw: [
    ['recovery', 100],
    ['drums', 100],
    ['spills', 100],
  ],
  mina: [['load-135', 10, 'light']],
  otis: [['spills', 12]],
}

/** What was shown to every member; Jory had toners, and they were taken away. */
export async function trainings(db: Database, { by, today, zone }: { by: string; today: number; zone: string }): Promise<void> {
  const people = new Map((await db.Person.findAll({ attributes: ['id', 'login'], raw: true })).map(({ id, login }) => [login, id]))
  const write = async (login: string, [task, daysAgo, stage]: Shown, kind: 'given' | 'revoked' = 'given', why = '') => {
    const at = today - daysAgo * dayMs
    const [id, personId] = [uuid({ msecs: at }), people.get(login) ?? '']
    await db.Training.create({ id, personId, kind, task, at, writtenAt: at, byPerson: by, stage: stage ?? null, shown: why })
    // what ended, or was told in time, was told then
    const endsAt = kind === 'given' ? trainingEnds(task, at, zone) : null
    if (endsAt !== null && endsAt > today + 30 * dayMs) await noticeEnd(db, { id, personId, task, endsAt }, today)
  }
  for (const [login, all] of Object.entries(shown)) for (const one of all) await write(login, one)
  await write('jory', ['toners', 90])
  await write('jory', ['toners', 30], 'revoked', 'left the bottle open beside the stop bath')
}
