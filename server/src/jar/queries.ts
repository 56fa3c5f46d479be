import type { Jar } from '@selvrin/core/contract'
import type { Database } from '../table/database'

/** Jars with what they hold and whether a safety sheet is there, in the order of their ids; `ids` null for all. SQL for the sum of each ledger. */
export const jarsWithSums = (db: Database, ask: { ids: string[] | null; after: string | null; limit: number | null }): Promise<Jar[]> =>
  db.query<Jar>(
    `select jar.id, jar.version, jar.code, jar.chemical, jar.lot, jar.place, jar.opened_at as "openedAt", jar.assay, jar.price_per_kg as "pricePerKg",
       jar.reorder_g as "reorderG", jar.spoon_g as "spoonG", jar.storage, coalesce((select sum(grams) from jar_entry where jar_id = jar.id), 0) as grams,
       case when sheet.jar_id is null then null else json_build_object('name', sheet.name, 'type', sheet.type, 'bytes', octet_length(sheet.bytes)) end as sheet
     from jar left join jar_sheet sheet on sheet.jar_id = jar.id
     where ($ids::uuid[] is null or jar.id = any($ids)) and ($after::uuid is null or jar.id > $after) order by jar.id limit $limit`,
    ask,
  )
