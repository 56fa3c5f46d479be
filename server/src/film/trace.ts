import type { api, TracedBath, TracedFilm } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { rollRow } from './rows'

/** Films of a bath that are looked at, newest first. */
const mostFilms = 100
/** Lines of runs in the ledgers: what film really went through. */
const linesWhere = (db: Database, where: { runId: string[] } | { bottleId: string[] }) =>
  db.BottleEntry.findAll({
    attributes: ['runId', 'bottleId', 'step'],
    where: { ...where, ...('runId' in where ? {} : { runId: { [Op.ne]: null } }), kind: ['use', 'dilute-out'], '$reversal.id$': null },
    include: [{ association: 'reversal', attributes: [] }],
    order: ['step'],
    raw: true,
  })

const labelOf = (bottle: { letter: string; number: number }): string => `${bottle.letter}${bottle.number}`
const labelsOf = async (db: Database, ids: string[]): Promise<Map<string, string>> =>
  new Map((await db.Bottle.findAll({ attributes: ['id', 'letter', 'number'], where: { id: ids } })).map((one) => [one.id, labelOf(one)]))

/** Which bottles the runs of a set of films took liquid of, with the steps. */
async function throughOf(db: Database, runIds: string[]): Promise<Map<string, TracedFilm['baths']>> {
  const runs = await db.Run.findAll({ attributes: ['id', 'plan'], where: { id: runIds } })
  const lines = await linesWhere(db, { runId: runIds })
  const labels = await labelsOf(
    db,
    lines.map((line) => line.bottleId),
  )
  return new Map(
    runs.map(({ id, plan }) => {
      const mine = lines.filter((line) => line.runId === id)
      const steps = (bottleId: string) =>
        mine.flatMap((line) => (line.bottleId === bottleId ? (plan.steps[line.step ?? -1]?.name ?? []) : []))
      return [
        id,
        [...new Set(mine.map((line) => line.bottleId))].map((bottleId) => ({
          bottleId,
          label: labels.get(bottleId) ?? '',
          steps: steps(bottleId),
        })),
      ]
    }),
  )
}

async function filmsOf(db: Database, runIds: string[]): Promise<TracedFilm[]> {
  const through = await throughOf(db, runIds)
  const rolls = await db.Roll.findAll({
    where: { runId: runIds, takenBack: false },
    include: [withName('member'), { association: 'run', attributes: ['number'] }, { association: 'marks', attributes: ['clearedAt'] }],
    order: [['id', 'desc']],
    limit: mostFilms,
  })
  return rolls.map(({ id, film, format, ei, member, at, runId, run, result, contrast, faults, marks }) => ({
    ...{ id, film, format, ei, member: nameOf(member), at, runId, runNumber: run?.number ?? 0 },
    ...{ result: result ?? null, contrast: contrast ?? null, faults },
    inDoubt: (marks ?? []).some((mark) => mark.clearedAt === null),
    baths: through.get(runId) ?? [],
  }))
}

async function bathsOf(db: Database, ids: string[]): Promise<TracedBath[]> {
  const bottles = await db.Bottle.findAll({ where: { id: ids }, include: [{ association: 'madeOf' }] })
  const parents = await labelsOf(
    db,
    bottles.flatMap((bottle) => bottle.fromBottleId ?? []),
  )
  const tests = await db.Proof.findAll({ where: { bottleId: ids }, order: [['at', 'desc']], raw: true })
  return bottles.map((bottle) => {
    const from = parents.get(bottle.fromBottleId ?? '')
    return {
      ...{ id: bottle.id, label: labelOf(bottle), name: bottle.madeOf?.body.name ?? '', family: bottle.madeOf?.body.family ?? 'other' },
      ...{ madeAt: bottle.madeAt, retiredAt: bottle.retiredAt ?? null },
      from: from !== undefined && bottle.fromBottleId ? { id: bottle.fromBottleId, label: from } : null,
      tests: tests
        .filter((test) => test.bottleId === bottle.id)
        .map(({ id, kind, at, judgement }) => ({ id, kind, at, verdict: judgement.verdict, reason: judgement.reason })),
    }
  })
}

/** The runs whose films are looked at: of a film all that shared a bath with it, of a bottle all that took liquid of it. */
async function runsThrough(db: Database, bottleIds: string[]): Promise<string[]> {
  const lines = await linesWhere(db, { bottleId: bottleIds })
  return [...new Set(lines.flatMap((line) => line.runId ?? []))].sort().slice(-mostFilms)
}

/** A film with its baths and every film that went through them, or a bottle with its films and their other baths. */
export const trace: Handler<typeof api.film.trace> = async ({ db, query: { film, bottle } }) => {
  if ((film === undefined) === (bottle === undefined)) throw new Refusal(422, 'nothing', 'Say which film or which bottle to follow.')
  if (bottle !== undefined && !(await db.Bottle.findByPk(bottle, { attributes: ['id'] }))) throw notFound('bottle')
  const own = film === undefined ? null : await rollRow(db, film)
  const of = own?.runId ? ((await throughOf(db, [own.runId])).get(own.runId) ?? []).map((bath) => bath.bottleId) : [bottle ?? '']
  const runs = await runsThrough(db, of)
  const films = await filmsOf(db, own?.runId ? [...new Set([...runs, own.runId])] : runs)
  const others = own ? of : [...new Set([...of, ...films.flatMap((one) => one.baths.map((bath) => bath.bottleId))])]
  return { baths: await bathsOf(db, others), films }
}
