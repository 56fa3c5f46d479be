import { countsAs, presenceMs, requireTraining, trainingEnds, type TrainingTask } from '@selvrin/core'
import { trainingApi, type TrainingPage } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { signInLimiter } from '../credential/limit'
import { isPassword } from '../credential/password'
import { zoneOf } from '../darkroom/zone'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import { answers, type Call, type Handler } from '../http/route'
import type { Database, Row } from '../table/database'
import { holdToTraining, standingsOf } from './holding'
import { endingRows } from './ending'
import { noticeEnd } from './noticing'

/** lines and practices of one person that are told */
const [mostLines, mostPractised] = [60, 40]

async function personOf(db: Database, id: string): Promise<Row<'Person'>> {
  const row = await db.Person.findByPk(id, { attributes: ['id', 'name', 'role', 'active'] })
  if (!row) throw notFound('person')
  return row
}

const page: Handler<typeof trainingApi.page> = ({ db, now }) => endingRows(db, now)

/** Lines of the book of one person, and when a technician stood in, the newest first. */
async function linesOf(db: Database, personId: string): Promise<TrainingPage['lines']> {
  const asked = { where: { personId }, include: [withName()], limit: mostLines }
  const given = await db.Training.findAll({ ...asked, order: [['seq', 'desc']] })
  const present = await db.TrainingPresence.findAll({ ...asked, order: [['at', 'desc']] })
  const none = { stage: null, shown: '', outside: '', practised: false, until: null }
  return [
    ...given.map(({ id, kind, task, at, by, stage, shown, outside, practiceId }) => ({
      ...{ id, kind, tasks: [task], at, by: nameOf(by), stage, shown, outside, practised: practiceId !== null, until: null },
    })),
    ...present.map(({ id, tasks, at, until, by }) => ({ ...none, id, kind: 'present' as const, tasks, at, by: nameOf(by), until })),
  ]
    .sort((a, b) => b.at - a.at)
    .slice(0, mostLines)
}

/** Practices with nothing wrong that may be counted, and were not. */
async function practisedOf(db: Database, personId: string): Promise<TrainingPage['practised']> {
  const counted = await db.Training.findAll({
    attributes: ['practiceId', 'task'],
    where: { personId, practiceId: { [Op.ne]: null } },
    raw: true,
  })
  const rows = await db.Practice.findAll({
    where: { personId, clean: true },
    include: [{ association: 'process', attributes: ['body'] }],
    order: [['at', 'desc']],
    limit: mostPractised,
  })
  return rows.flatMap(({ id, at, clean, loading, process }) =>
    countsAs({ clean, loading, process: process?.body ?? null })
      .filter(({ task }) => !counted.some((one) => one.practiceId === id && one.task === task))
      .map(({ task, stage }) => ({ practiceId: id, at, name: process?.body.name ?? '', task, stage })),
  )
}

const person: Handler<typeof trainingApi.person> = async ({ db, params: { id }, who, now }) => {
  if (who.role !== 'technician' && id !== who.id)
    throw new Refusal(403, 'not-yours', 'What others were shown is theirs, and the technician’s.')
  const { name, role } = await personOf(db, id)
  const standings = (await standingsOf(db, [id], { now })).get(id) ?? []
  return { person: name, role, standings, lines: await linesOf(db, id), practised: await practisedOf(db, id) }
}

/** A practice counts as what it was practice of, on its day. */
async function requireCountable(
  db: Database,
  personId: string,
  practiceId: string,
  { task, stage }: { task: TrainingTask; stage: string | null },
) {
  const row = await db.Practice.findOne({
    where: { id: practiceId, personId },
    include: [{ association: 'process', attributes: ['body'] }],
  })
  const counts = row ? countsAs({ clean: row.clean, loading: row.loading, process: row.process?.body ?? null }) : []
  if (!row || !counts.some((one) => one.task === task && one.stage === stage))
    throw new Refusal(422, 'not-that', 'That was no practice of this, or something went wrong in it.', { field: 'practiceId' })
  if (await db.Training.findOne({ attributes: ['id'], where: { practiceId, task }, raw: true }))
    throw new Refusal(409, 'counted', 'That practice is counted already.', { field: 'practiceId' })
  return row.at
}

const give: Handler<typeof trainingApi.give> = async ({ db, body: { id, personId, body, practiceId }, who, now }) => {
  await personOf(db, personId)
  const at = practiceId === null ? body.at : await requireCountable(db, personId, practiceId, body)
  requireTraining({ ...body, at }, { now, byOneself: personId === who.id })
  const { task, stage, shown, outside } = body
  await db.Training.create({ id, personId, kind: 'given', task, at, writtenAt: now, byPerson: who.id, stage, shown, outside, practiceId })
  await noticeEnd(db, { id, personId, task, endsAt: trainingEnds(task, at, await zoneOf(db)) }, now)
  return { done: true as const }
}

const revoke: Handler<typeof trainingApi.revoke> = async ({ db, body: { id, personId, task, why }, who, now }) => {
  await personOf(db, personId)
  await db.Training.create({ id, personId, kind: 'revoked', task, at: now, writtenAt: now, byPerson: who.id, shown: why })
  await noticeEnd(db, { id, personId, task, endsAt: null }, now)
  return { done: true as const }
}

/** The technician by name and password, known before any row is locked; null where it is whoever is signed in. */
async function technicianOf({ db, body, request }: Call<typeof trainingApi.present>): Promise<string | null> {
  if (body.login === undefined) return null
  const limiter = signInLimiter(db)
  await limiter.take(request, body.login)
  const found = await db.Person.findOne({ where: { login: body.login, active: true } })
  if (!(await isPassword(body.password ?? '', found?.passwordHash)) || !found)
    throw new Refusal(422, 'wrong-password', 'Name or password is wrong. Type them again.', { field: 'password' })
  await limiter.forget(request, body.login)
  if (found.role !== 'technician') throw new Refusal(422, 'no-technician', 'Only a technician stands in for it.', { field: 'login' })
  return found.id
}

const present: Handler<typeof trainingApi.present> = async ({ db, body: { id, personId, tasks }, who, now, before }) => {
  const byPerson = (before as string | null) ?? (who.role === 'technician' ? who.id : null)
  if (byPerson === null) throw new Refusal(403, 'no-technician', 'A technician who is present confirms it, by name and password.')
  if (who.role !== 'technician' && personId !== who.id) throw new Refusal(403, 'not-yours', 'It is asked for by whoever lacks it.')
  await personOf(db, personId)
  await db.TrainingPresence.create({ id, personId, tasks, byPerson, at: now, until: now + presenceMs })
  return { done: true as const }
}

const ask: Handler<typeof trainingApi.ask> = async ({ db, body: { tasks }, who, now }) => {
  await holdToTraining(db, who, tasks, now)
  return { done: true as const }
}

/** Who was shown what, until when, and who stood in for it. */
export const trainingRoutes = [
  answers(trainingApi.page, page),
  answers(trainingApi.give, give),
  answers(trainingApi.revoke, revoke),
  answers(trainingApi.present, present, { before: technicianOf }),
  answers(trainingApi.ask, ask),
  answers(trainingApi.person, person),
]
