import { noticeDays, taskNames, type TrainingTask } from '@selvrin/core'
import { DateTime } from 'luxon'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { zoneOf } from '../darkroom/zone'
import type { Database } from '../table/database'

const dayMs = 86_400_000

/** Tells somebody in time that what they were shown ends; what was to be told of the same task before is told no more. */
export async function noticeEnd(
  db: Database,
  { id, personId, task, endsAt }: { id: string; personId: string; task: TrainingTask; endsAt: number | null },
  now: number,
): Promise<void> {
  const same = await db.Training.findAll({ attributes: ['id'], where: { personId, task }, raw: true })
  await db.Notice.update({ readAt: now }, { where: { trainingId: same.map((one) => one.id), at: { [Op.gt]: now }, readAt: null } })
  if (endsAt === null || endsAt <= now) return
  const day = DateTime.fromMillis(endsAt, { zone: await zoneOf(db) }).toFormat('d LLLL yyyy')
  const text = `Your training for ${taskNames[task]} ends on ${day}. Have it shown again before, or a technician has to be beside you.`
  await db.Notice.create({ id: uuid(), personId, at: Math.max(now, endsAt - noticeDays * dayMs), text, trainingId: id })
}
