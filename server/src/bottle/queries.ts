import type { BottleEntry, Carry } from '@selvrin/core'
import type { Bottle, BottlePage, FormulaBody, LedgerEntry } from '@selvrin/core/contract'
import type { Database } from '../table/database'
import type { Kitted } from './kits'

/** A bottle as it stands in the record, before anything is reckoned. */
export interface BottleRow {
  id: string
  version: number
  label: string
  code: string
  formulaId: string
  formulaNumber: number
  versionId: string
  batchId: string | null
  ownUse: FormulaBody['use'] | null
  /** the kit it is a bath of */
  kitted: Kitted | null
  shelfId: string | null
  sizeMl: number
  parts: number[] | null
  madeAt: number
  madeBy: string
  retiredAt: number | null
  retiredWhy: string | null
  ph: number | null
  batchNote: string
  mixedFrom: string | null
  /** no other bottle in use of its batch, at its strength, comes before it: the batch's fresh reading is asked for once */
  firstOfBatch: boolean
  /** a batch in it whose pH was off when it was mixed, and nobody has said why not */
  phOff: { batchId: string; ph: number; celsius: number | null; expected: number; uncertainty: number } | null
  /** ml its whole ledger comes to */
  heldMl: number
  carry: Carry | null
  /** lines behind the checkpoint, oldest first */
  tail: StoredEntry[]
  /** what runs are promised of it */
  reserved: NonNullable<Bottle['reserved']>
  /** what the next evening wants of it, as it is planned */
  evening: NonNullable<Bottle['evening']> | null
  /** times of films it went through that came out wrong since `since`, oldest first */
  odd: number[]
  /** kinds of test its batch has a fresh reading of */
  fresh: string[]
  /** changes whenever an own chemical, a due rule or the darkroom's zone does */
  knowledge: string | null
}

/** A line of the ledger as core takes it. */
export interface StoredEntry extends BottleEntry {
  bottleId: string
  seq: number
}

/** A line as it is fetched with its bottle, by place: names said with every line take the database as long as the lines themselves. */
type Fetched = [
  ...[id: string, seq: number, kind: StoredEntry['kind'], at: number, ml: number, throughput: StoredEntry['throughput'], waterInMl: number],
  ...[reverses: string | null, brings: StoredEntry['brings'], celsius: number | null, container: StoredEntry['container']],
  ...[twoBath: StoredEntry['twoBath'], test: StoredEntry['test']],
]
function lineOf(bottleId: string, fetched: Fetched): StoredEntry {
  const [id, seq, kind, at, ml, throughput, waterInMl, reverses, brings, celsius, container, twoBath, test] = fetched
  return { id, bottleId, seq, kind, at, ml, throughput, waterInMl, reverses, brings, celsius, container, twoBath, test }
}

/** what most bottles have nothing of */
type MostlyNone = 'odd' | 'fresh' | 'reserved'

interface Asked {
  /** null for all */
  ids: string[] | null
  retired: boolean
  after: string | null
  limit: number | null
  /** ms from which films that came out wrong still say something of a bath */
  since: number
  /** a run that is about to start: only what was promised before it counts */
  exceptRun: string | null
}

/**
 * Bottles by label with all that is known of each, those of `ids` or a page. SQL because what is in a bottle is asked of its batch, its formula, its ledger, its runs
 * and films, and all that was poured into it: in one round, however many there are. The few films that came out wrong come first, since a plan that begins with the
 * bottles would go through their whole histories; what is poured back is missing from its bottle only while it is in a tank. A line behind the checkpoint is so by its number as well: a
 * time is kept to the ms there, and a line that came in with a finer one would be counted twice.
 */
export async function bottleRows(db: Database, asked: Asked): Promise<BottleRow[]> {
  const rows = await db.query<
    Omit<BottleRow, MostlyNone | 'tail'> & { [K in MostlyNone]: BottleRow[K] | null } & { tail: Fetched[] | null }
  >(
    `with chosen as materialized (
       select b.*, c.ml, c.carry, c.carried_at, c.carried_seq from bottle b left join bottle_checkpoint c on c.bottle_id = b.id where ($ids::uuid[] is null or b.id = any($ids)) and ($retired::boolean or b.retired_at is null)
         and ($after::uuid is null or (b.letter, b.number) > (select letter, number from bottle where id = $after))
       order by b.letter, b.number limit $limit
     ), tails as materialized (
       select e.bottle_id, json_agg(json_build_array(e.id, e.seq, e.kind, (extract(epoch from e.at) * 1000)::float8, e.ml, e.throughput, e.water_in_ml,
           e.reverses, e.brings, e.celsius, e.container, e.two_bath, e.test) order by e.at, e.seq) as tail
       from chosen b join bottle_entry e on e.bottle_id = b.id
         and (e.at, e.seq) > (coalesce(b.carried_at, '-infinity'::timestamptz), coalesce(b.carried_seq, 0)) and e.seq > coalesce(b.carried_seq, 0) group by e.bottle_id
     ), wrong as materialized (
       select e.bottle_id, array_agg((extract(epoch from r.at) * 1000)::float8 order by r.at) as times from roll r join bottle_entry e on e.run_id = r.run_id and e.kind in ('use', 'dilute-out')
       where r.result <> 'right' and r.at > to_timestamp($since / 1000.0) and ($ids is null or e.bottle_id = any($ids)) group by e.bottle_id
     ), off as materialized (
       select * from batch t where t.ph_why is null and abs(t.ph - t.ph_expected) > t.ph_uncertainty
     ), fresh as materialized (
       select f.batch_id, array_agg(distinct f.kind) as kinds from standing_proof f where f.fresh and f.batch_id in (select batch_id from chosen) group by f.batch_id
     ), promised as materialized (
       select u.bottle_id, json_build_object('ml', coalesce(sum(u.ml) filter (where u.one_shot), 0), 'rolls', coalesce(sum(u.equivalents) filter (where not u.one_shot), 0),
           'runs', json_agg(distinct r.number order by r.number)) as reserved
       from run r join run_bath u on u.run_id = r.id where r.state in ('planned', 'running') and r.id is distinct from $exceptRun::uuid
         and ((r.state = 'planned' and ($exceptRun::uuid is null or r.number < (select number from run where id = $exceptRun))) or (r.state = 'running' and not u.one_shot)) and ($ids is null or u.bottle_id = any($ids)) group by u.bottle_id
     ), tonight as materialized (
       -- the next evening that wants it; what is a run by now is promised to that. “since” lies 28 days back
       select distinct on (u.bottle_id) u.bottle_id, json_build_object('day', e.day, 'ml', sum(u.ml), 'rolls', sum(u.rolls)) as evening
       from evening_bath u join evening e on e.id = u.evening_id
       where ($ids is null or u.bottle_id = any($ids)) and e.closes_at > to_timestamp($since / 1000.0) + interval '28 days' and not exists (select from run r where r.id = u.load_id and r.state in ('planned', 'running', 'done'))
       group by u.bottle_id, e.id order by u.bottle_id, e.opens_at
     )
     select b.id, b.version, b.letter || b.number as label, b.code, v.formula_id as "formulaId", v.number as "formulaNumber", b.formula_version_id as "versionId", b.batch_id as "batchId", b.own_use as "ownUse", case when b.kit_set_id is not null then kit_of(b.kit_set_id) end as kitted,
       b.shelf_id as "shelfId", b.size_ml as "sizeMl", b.parts, b.made_at as "madeAt", coalesce(p.name, 'someone who left') as "madeBy", b.retired_at as "retiredAt",
       b.retired_why as "retiredWhy", batch.ph, coalesce(batch.note, '') as "batchNote", coalesce(b.ml, 0) as "heldMl", b.carry,
       (select o.letter || o.number from bottle o where o.id = b.from_bottle_id) as "mixedFrom",
       not exists (select from bottle o where o.batch_id = b.batch_id and o.parts is not distinct from b.parts and o.retired_at is null and o.number < b.number) as "firstOfBatch",
       (select jsonb_build_object('batchId', t.id, 'celsius', t.ph_celsius, 'ph', t.ph, 'expected', t.ph_expected, 'uncertainty', t.ph_uncertainty) from off t
        where t.id = b.batch_id or exists (select from bottle_entry e join bottle o on o.id = e.bottle_id where e.other_bottle_id = b.id and e.ml < 0 and o.batch_id = t.id) limit 1) as "phOff",
       tails.tail,
       promised.reserved, tonight.evening, wrong.times as odd, fresh.kinds as fresh,
       (select md5(string_agg(one, ' ' order by one)) from (select id || ' ' || version || ' ' || changed_at as one from chemical union all select id || ' ' || version from due_rule union all select zone from darkroom) as k) as knowledge
     from chosen b join formula_version v on v.id = b.formula_version_id left join person p on p.id = b.made_by left join batch on batch.id = b.batch_id
       left join wrong on wrong.bottle_id = b.id left join promised on promised.bottle_id = b.id
       left join fresh on fresh.batch_id = b.batch_id left join tails on tails.bottle_id = b.id left join tonight on tonight.bottle_id = b.id
     order by b.letter, b.number`,
    asked,
  )
  // of most bottles there is nothing of these, and nothing is quicker read than an empty list
  return rows.map((row) =>
    Object.assign(row, {
      tail: row.tail?.map((one) => lineOf(row.id, one)) ?? [],
      odd: row.odd ?? [],
      fresh: row.fresh ?? [],
      reserved: row.reserved ?? { ml: 0, rolls: 0, runs: [] },
    }),
  )
}

/** Ids of retired bottles whose label, code or name has every word, the last retired first. SQL because a page begins behind a pair of time and id, and a name stands in a version. */
export const retiredIds = async (db: Database, asked: { words: string[]; after: string | null; limit: number }): Promise<string[]> =>
  (
    await db.query<{ id: string }>(
      `select b.id from bottle b join formula_version v on v.id = b.formula_version_id
       where b.retired_at is not null and plain(concat_ws(' ', 'bottle', b.letter || b.number, b.code, v.body ->> 'name')) like all($words::text[])
         and ($after::uuid is null or (b.retired_at, b.id) < (select retired_at, id from bottle where id = $after))
       order by b.retired_at desc, b.id desc limit $limit`,
      asked,
    )
  ).map((row) => row.id)

/** The lines of each bottle behind its checkpoint, oldest first; with `whole` all of them. SQL because a ledger begins behind a pair of time and number. */
export const linesBehind = (db: Database, asked: { ids: string[]; whole: boolean }): Promise<StoredEntry[]> =>
  db.query<StoredEntry>(
    `select e.id, e.bottle_id as "bottleId", e.seq, e.kind, e.at, e.ml, e.throughput, e.water_in_ml as "waterInMl", e.reverses, e.brings, e.celsius,
       e.container, e.two_bath as "twoBath", e.test
     from unnest($ids::uuid[]) as b(id) left join bottle_checkpoint c on c.bottle_id = b.id and not $whole
       cross join lateral (
         select * from bottle_entry e where e.bottle_id = b.id and (e.at, e.seq) > (coalesce(c.carried_at, '-infinity'::timestamptz), coalesce(c.carried_seq, 0)) and e.seq > coalesce(c.carried_seq, 0) order by e.at, e.seq
       ) e`,
    asked,
  )

/** Makes every checkpoint's sum anew from its ledger. SQL because it is a sum over everything; the function is the schema's own. */
export const rebuildSums = (db: Database): Promise<unknown> => db.query('select rebuild_checkpoints()')

/** What was held after a line of a ledger, or after its last. SQL for the sum. */
export const heldBefore = (db: Database, asked: { bottleId: string; after: string | null }): Promise<{ ml: number }[]> =>
  db.query(
    `select c.ml - (select coalesce(sum(e.ml), 0) from bottle_entry a join bottle_entry e on e.bottle_id = $bottleId and (e.at, e.seq) >= (a.at, a.seq) where a.id = $after) as ml
     from bottle_checkpoint c where c.bottle_id = $bottleId`,
    asked,
  )

/** Lines of a ledger from behind one, newest first. SQL because a page begins behind a pair of time and number. */
export const ledgerLines = (
  db: Database,
  asked: { bottleId: string; after: string | null; limit: number },
): Promise<Omit<LedgerEntry, 'balanceMl'>[]> =>
  db.query(
    `select e.id, e.kind, e.at, coalesce(p.name, 'someone who left') as by, e.ml, e.throughput, e.note, e.run_id as "runId", r.number as "runNumber", e.other_bottle_id as "otherId",
       o.letter || o.number as "otherLabel", e.proof_id as "proofId", e.test, e.reverses, v.id as "reversedBy"
     from bottle_entry e left join person p on p.id = e.by_person left join run r on r.id = e.run_id left join bottle o on o.id = e.other_bottle_id
       left join bottle_entry v on v.reverses = e.id
     where e.bottle_id = $bottleId and ($after::uuid is null or (e.at, e.seq) < (select at, seq from bottle_entry where id = $after)) order by e.at desc, e.seq desc limit $limit`,
    asked,
  )

/** The last runs a bottle was used in. SQL because the newest lines come first, then their runs. */
export const runsOf = (db: Database, bottleId: string): Promise<BottlePage['runs']> =>
  db.query(
    `select r.id, r.number, coalesce(r.started_at, r.planned_at) as at, (r.plan ->> 'rolls')::numeric as rolls, array(select film from roll where run_id = r.id order by id) as films
     from run r where r.id in (select run_id from bottle_entry where bottle_id = $bottleId and run_id is not null order by at desc limit 60) order by r.number desc limit 30`,
    { bottleId },
  )

/** Locks bottles until the end of the transaction, always in the same order; answers those that are there. SQL because every act on a bottle begins with it: it is planned once. */
export const lockRows = (db: Database, ids: string[]): Promise<{ id: string }[]> =>
  db.query('select id from bottle where id = any($ids::uuid[]) order by id for update', { ids })

/**
 * Writes lines into ledgers, in their order. What waited for its bottle while others wrote comes after their lines: a line before them would have the whole ledger
 * reckoned anew. What is written of the `past` stays where it was. SQL because every act on a bottle ends with it: one round and one plan, however many lines.
 */
export const insertLines = (db: Database, lines: object[], past: boolean): Promise<void> =>
  db.write(
    `insert into bottle_entry (id, bottle_id, kind, at, by_person, ml, throughput, water_in_ml, run_id, step, reverses, note, celsius, container, brings, two_bath, test,
       other_bottle_id, proof_id, group_id)
     select id, "bottleId", kind,
       greatest(to_timestamp(at / 1000.0), (select last.at from bottle_entry last where not $past::boolean and last.bottle_id = asked."bottleId" and last.at < to_timestamp(asked.at / 1000.0) + interval '1 minute' order by last.at desc limit 1)),
       by, ml, coalesce(throughput, '[]'), coalesce("waterInMl", 0), "runId", step, reverses,
       coalesce(note, ''), celsius, container, nullif(brings, 'null'), nullif("twoBath", 'null'), nullif(test, 'null'), "otherBottleId", "proofId", "groupId"
     from rows from (jsonb_to_recordset($lines::jsonb) as (id uuid, "bottleId" uuid, kind text, at float8, by uuid, ml numeric, throughput jsonb,
       "waterInMl" numeric, "runId" uuid, step int, reverses uuid, note text, celsius numeric, container text, brings jsonb, "twoBath" jsonb, test jsonb, "otherBottleId" uuid,
       "proofId" uuid, "groupId" uuid)) with ordinality asked order by ordinality`,
    { lines: JSON.stringify(lines), past },
  )
