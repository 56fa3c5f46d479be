import type { Guide } from '@selvrin/core'
import type { Bottle, Suspect } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'
import { filmsInDoubt } from './queries'

const helpWords: Record<Guide['helps'], string> = {
  refix: 'Refix it in fresh fixer and wash it again: that still helps.',
  rewash: 'Wash it again: that still helps.',
  nothing: 'Nothing helps any more; look at it before you rely on it.',
}

interface Failure {
  proofId: string
  guide: Guide
  bottle: Bottle | null
  rollId: string | null
  now: number
}

/** After a failed test: the runs that used the bath, or the bottle it was decanted from, since its last good one, their films marked with what still helps, and their owners told. */
export async function afterFailure(db: Database, { proofId, guide, bottle, rollId, now }: Failure): Promise<Suspect[]> {
  const films = await filmsInDoubt(db, { bottleId: bottle?.id ?? null, rollId, kind: guide.kind })
  const { helps } = guide
  const told = films.map((film) => {
    const what = bottle
      ? `The liquid of ${bottle.label} ${bottle.name}, which this film went through in run ${film.runNumber}, failed a test afterwards (${guide.name}).`
      : `${guide.name}: the film failed it.`
    return { ...film, text: `${what} ${helpWords[helps]}` }
  })
  await db.RollMark.bulkCreate(told.map(({ rollId: id, text }) => ({ id: uuid(), rollId: id, proofId, at: now, text, helps })))
  await tell(
    db,
    told.map(({ text, ...film }) => ({ ...film, text: `Your ${film.film}: ${text}` })),
    now,
  )
  const runs = new Map<string, Suspect>()
  for (const { runId, runNumber, at, rollId: id, film, member } of films) {
    const run = runs.get(runId) ?? { runId, runNumber, at, films: [] }
    run.films.push({ rollId: id, film, member })
    runs.set(runId, run)
  }
  return [...runs.values()].sort((a, b) => b.at - a.at)
}

/** Tells the owners of films, where they have one. */
const tell = (db: Database, films: { rollId: string; memberId: string | null; text: string }[], at: number): Promise<unknown> =>
  db.Notice.bulkCreate(
    films.flatMap(({ rollId, memberId, text }) => (memberId === null ? [] : [{ id: uuid(), personId: memberId, at, text, rollId }])),
  )

interface Gone {
  proofIds: string[]
  by: string
  now: number
  reason: string
}

/** A failed test whose line was taken back: the marks it left are cleared, and the owners told that their film is not in doubt. */
export async function afterTakenBack(db: Database, { proofIds, by, now, reason }: Gone): Promise<void> {
  if (proofIds.length === 0) return
  const marks = await db.RollMark.findAll({
    where: { proofId: proofIds, clearedAt: null },
    include: [{ association: 'roll', attributes: ['id', 'film', 'memberId'] }],
  })
  if (marks.length === 0) return
  const cleared = { clearedAt: now, cleared: `The test was taken back: ${reason}`, clearedBy: by }
  await db.RollMark.update(cleared, { where: { id: marks.map((mark) => mark.id) } })
  const films = marks.map(({ rollId, roll }) => ({
    rollId,
    memberId: roll?.memberId ?? null,
    text: `Your ${roll?.film ?? 'film'}: the test that put it in doubt was taken back, ${reason}`,
  }))
  await tell(db, films, now)
}
