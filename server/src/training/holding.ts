import { requireTrained, taskStanding, trainingTasks, type TaskStanding, type TrainingTask, type TrainingTold } from '@selvrin/core'
import { Op } from 'sequelize'
import { zoneOf } from '../darkroom/zone'
import { Refusal } from '../house/refusal'
import type { Who } from '../http/who'
import type { Database } from '../table/database'

/** How people stand with tasks, by all that was written of them. */
export async function standingsOf(
  db: Database,
  personIds: string[],
  { now, tasks = trainingTasks }: { now: number; tasks?: readonly TrainingTask[] },
): Promise<Map<string, TaskStanding[]>> {
  const zone = await zoneOf(db)
  const rows = await db.Training.findAll({
    attributes: ['personId', 'kind', 'task', 'at', 'stage'],
    where: { personId: personIds, task: [...tasks] },
    order: ['seq'],
    raw: true,
  })
  const told = new Map<string, TrainingTold[]>(personIds.map((id) => [id, []]))
  for (const { personId, kind, task, at, stage } of rows) told.get(personId)?.push({ kind, task, at, stage })
  return new Map([...told].map(([id, lines]) => [id, tasks.map((task) => taskStanding(task, lines, { now, zone }))]))
}

/** Tasks a technician stands in for at somebody's side now. */
async function presentFor(db: Database, personId: string, now: number): Promise<TrainingTask[]> {
  const rows = await db.TrainingPresence.findAll({ attributes: ['tasks'], where: { personId, until: { [Op.gt]: now } }, raw: true })
  return rows.flatMap((row) => row.tasks)
}

type Hand = Pick<Who, 'id' | 'name' | 'role'>

/**
 * Refuses what somebody was not shown, where no technician who is present stands in. Whoever is a technician needs nobody beside them.
 * @throws Refused 'not-trained'
 */
export async function holdToTraining(db: Database, { id, name, role }: Hand, tasks: TrainingTask[], now: number): Promise<void> {
  if (role === 'technician' || tasks.length === 0) return
  const standings = (await standingsOf(db, [id], { now, tasks })).get(id) ?? []
  requireTrained({ id, name }, standings, await presentFor(db, id, now))
}

/** Whose hands go on with what was begun: theirs, or those of whoever is signed in where they may not come in any more. */
export async function stillHand(db: Database, handId: string | undefined, who: Who): Promise<Hand> {
  if (handId === undefined || handId === who.id) return who
  return (await db.Person.findOne({ attributes: ['id', 'name', 'role'], where: { id: handId, active: true }, raw: true })) ?? who
}

/** Whose hands do it: whoever is signed in, or whom they say. */
export async function handOf(db: Database, handId: string | undefined, who: Who): Promise<Hand> {
  const person = await stillHand(db, handId, who)
  if (person === who && handId !== undefined && handId !== who.id)
    throw new Refusal(422, 'no-person', 'Whose hands are they? That person is not there any more.', { field: 'handId' })
  return person
}
