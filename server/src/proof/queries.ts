import type { TestKind } from '@selvrin/core'
import type { Instrument, Proof } from '@selvrin/core/contract'
import type { Database } from '../table/database'

interface Asked {
  id: string | null
  bottleId: string | null
  after: string | null
  limit: number
}

/** Tests newest first with what they were made of; one by `id`, those of a bottle, or a page of all. SQL because a page begins behind a pair of time and id. */
export const proofRows = (db: Database, asked: Asked): Promise<Proof[]> =>
  db.query<Proof>(
    `select f.id, f.kind, f.at, coalesce(p.name, 'someone who left') as by, f.bottle_id as "bottleId", b.letter || b.number as "bottleLabel", f.batch_id as "batchId",
       f.roll_id as "rollId", o.film, f.instrument_id as "instrumentId", i.name as instrument, f.fresh, f.reading, f.judgement, f.rolls_per_l as "rollsPerL",
       (t.proof_id is not null) as picture, f.note, not exists (select from standing_proof s where s.id = f.id) as "takenBack"
     from proof f left join person p on p.id = f.by_person left join bottle b on b.id = f.bottle_id left join roll o on o.id = f.roll_id
       left join instrument i on i.id = f.instrument_id left join proof_picture t on t.proof_id = f.id
     where ($id::uuid is null or f.id = $id) and ($id::uuid is not null or f.kind <> 'control-strip') and ($bottleId::uuid is null or f.bottle_id = $bottleId)
       and ($after::uuid is null or (f.at, f.id) < (select at, id from proof where id = $after))
     order by f.at desc, f.id desc limit $limit`,
    asked,
  )

export interface FreshReading {
  kind: TestKind
  value: number
  celsius: number | null
  slowClearing: boolean | null
  own: boolean
}

/** Fresh readings of a formula at a strength, newest first, and whether they are of that batch. SQL because readings are looked into. */
export const freshReadings = (
  db: Database,
  asked: { formulaId: string; batchId: string | null; parts: number[] | null },
): Promise<FreshReading[]> =>
  db.query<FreshReading>(
    `select f.kind, (f.reading ->> 'value')::numeric as value, (f.reading ->> 'celsius')::numeric as celsius,
       (f.reading ->> 'slowClearing')::boolean as "slowClearing", f.batch_id is not distinct from $batchId as own
     from standing_proof f join batch t on t.id = f.batch_id join formula_version v on v.id = t.formula_version_id left join bottle b on b.id = f.bottle_id
     where f.fresh and f.reading ? 'value' and v.formula_id = $formulaId and b.parts is not distinct from $parts::numeric[] order by f.at desc`,
    asked,
  )

/** Instruments with their last sixty strips; those of `ids`, or a page. SQL for the last strips of each. */
export const instrumentRows = (
  db: Database,
  asked: { ids: string[] | null; after: string | null; limit: number | null },
): Promise<Instrument[]> =>
  db.query<Instrument>(
    `select i.id, i.version, i.kind, i.name, i.device_id as "deviceId", i.points, i.safe_minutes as "safeMinutes", i.tested_at as "testedAt", i.reference, i.limits,
       coalesce((select jsonb_agg(jsonb_build_object('id', f.id, 'at', (extract(epoch from f.at) * 1000)::bigint, 'by', coalesce(p.name, 'someone who left'), 'strip', f.reading,
         'batchId', f.batch_id, 'good', f.good) order by f.at, f.id)
         from (select * from standing_proof where instrument_id = i.id and kind = 'control-strip' order by at desc, id desc limit 60) f
           left join person p on p.id = f.by_person), '[]'::jsonb) as strips
     from instrument i where ($ids::uuid[] is null or i.id = any($ids)) and ($after::uuid is null or i.id > $after) order by i.id limit $limit`,
    asked,
  )

export interface CapacityMark extends Pick<Proof, 'kind' | 'reading' | 'judgement'> {
  bottleId: string
  rollsPerL: number
  fromBatch: boolean
}

/** What tests of a formula's bottles said of their capacity, oldest first. SQL because it asks of each whether its batch had a fresh reading. */
export const capacityMarks = (db: Database, formulaId: string): Promise<CapacityMark[]> =>
  db.query<CapacityMark>(
    `select f.bottle_id as "bottleId", f.rolls_per_l as "rollsPerL", f.kind, f.reading, f.judgement,
       exists (select from standing_proof s where s.fresh and s.kind = f.kind and s.batch_id = f.batch_id) as "fromBatch"
     from standing_proof f join bottle b on b.id = f.bottle_id join formula_version v on v.id = b.formula_version_id
     where v.formula_id = $formulaId and f.rolls_per_l is not null and f.kind in ('clearing-time', 'iodide-drop', 'silver-paper') order by f.at`,
    { formulaId },
  )
