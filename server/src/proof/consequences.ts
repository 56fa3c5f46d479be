import type { Guide } from '@selvrin/core'
import type { Bottle, Suspect } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Database } from '../database/connection'

const helpWords: Record<Guide['helps'], string> = {
  refix: 'Refix it in fresh fixer and wash it again: that still helps.',
  rewash: 'Wash it again: that still helps.',
  nothing: 'Nothing helps any more; look at it before you rely on it.',
}

interface FilmRow {
  rollId: string
  runId: string
  runNumber: number
  at: number
  film: string
  member: string
  memberId: string | null
}

/** After a failed test: the runs that used the bath, or the bottle it was decanted from, since its last good one, their films marked with what still helps, and their owners told. */
export async function afterFailure(
  db: Database,
  failure: { proofId: string; guide: Guide; bottle: Bottle | null; rollId: string | null; now: number },
  tx: Transaction | undefined,
): Promise<Suspect[]> {
  const { proofId, guide, bottle, rollId, now } = failure
  const films = await db.rows<FilmRow>(
    // decanted liquid was in the bottle it came from until then: the line of bottles back, each up to when it was left
    `with recursive line as (
       select $1::uuid as id, 'infinity'::timestamptz as until
       union all
       select b.from_bottle_id, least(l.until, (select min(e.at) from bottle_entry e where e.bottle_id = b.id and e.kind = 'fill'))
       from line l join bottle b on b.id = l.id join bottle o on o.id = b.from_bottle_id and o.parts is not distinct from b.parts
     ), good as (
       select coalesce(max(f.at), '-infinity'::timestamptz) as at from line l join standing_proof f on f.bottle_id = l.id and f.at <= l.until
       where f.kind = $3 and f.judgement ->> 'verdict' <> 'failed' and f.judgement ->> 'rule' <> 'no-reference'
     )
     select distinct on (o.id) o.id as "rollId", r.id as "runId", r.number as "runNumber", coalesce(r.ended_at, r.started_at, r.planned_at) as at, o.film, coalesce(p.name, 'someone who left') as member,
       o.member_id as "memberId"
     from roll o join run r on r.id = o.run_id left join person p on p.id = o.member_id
     where o.id = $2 or r.id in (
       select e.run_id from line l join bottle_entry e on e.bottle_id = l.id and e.at <= l.until
       where e.run_id is not null and e.kind in ('use', 'dilute-out') and e.at > (select at from good)
         and not exists (select from bottle_entry x where x.reverses = e.id))
     order by o.id`,
    [bottle?.id ?? null, rollId, guide.kind],
    tx,
  )
  const told = films.map((film) => {
    const what = bottle
      ? `The liquid of ${bottle.label} ${bottle.name}, which this film went through in run ${film.runNumber}, failed a test afterwards (${guide.name}).`
      : `${guide.name}: the film failed it.`
    return {
      markId: uuid(),
      noticeId: uuid(),
      rollId: film.rollId,
      memberId: film.memberId,
      film: film.film,
      text: `${what} ${helpWords[guide.helps]}`,
    }
  })
  const record = `jsonb_to_recordset($1::jsonb) as r("markId" uuid, "noticeId" uuid, "rollId" uuid, "memberId" uuid, film text, text text)`
  await db.run(
    `insert into roll_mark (id, roll_id, proof_id, at, text, helps) select r."markId", r."rollId", $2, $3, r.text, $4 from ${record}`,
    [JSON.stringify(told), proofId, new Date(now), guide.helps],
    tx,
  )
  await db.run(
    `insert into notice (id, person_id, at, text, roll_id) select r."noticeId", r."memberId", $2, 'Your ' || r.film || ': ' || r.text, r."rollId" from ${record} where r."memberId" is not null`,
    [JSON.stringify(told), new Date(now)],
    tx,
  )
  const runs = new Map<string, Suspect>()
  for (const film of films) {
    const run = runs.get(film.runId) ?? { runId: film.runId, runNumber: film.runNumber, at: film.at, films: [] }
    run.films.push({ rollId: film.rollId, film: film.film, member: film.member })
    runs.set(film.runId, run)
  }
  return [...runs.values()].sort((a, b) => b.at - a.at)
}

/** A failed test whose line was taken back: the marks it left are cleared, and the owners told that their film is not in doubt. */
export async function afterTakenBack(
  db: Database,
  gone: { proofIds: string[]; by: string; now: number; reason: string },
  tx: Transaction | undefined,
): Promise<void> {
  const films = await db.rows<{ rollId: string; memberId: string | null }>(
    `update roll_mark m set cleared_at = $2, cleared = 'The test was taken back: ' || $3::text, cleared_by = $4 from roll o
     where o.id = m.roll_id and m.proof_id = any($1::uuid[]) and m.cleared_at is null returning o.id as "rollId", o.member_id as "memberId"`,
    [gone.proofIds, new Date(gone.now), gone.reason, gone.by],
    tx,
  )
  const told = films.filter((film) => film.memberId !== null).map((film) => ({ ...film, id: uuid() }))
  await db.run(
    `insert into notice (id, person_id, at, text, roll_id)
     select r.id, r."memberId", $2, 'Your ' || o.film || ': the test that put it in doubt was taken back, ' || $3::text, o.id
     from jsonb_to_recordset($1::jsonb) as r(id uuid, "rollId" uuid, "memberId" uuid) join roll o on o.id = r."rollId"`,
    [JSON.stringify(told), new Date(gone.now), gone.reason],
    tx,
  )
}
