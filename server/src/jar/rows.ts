import type { Jar, JarEntry, JarPage } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound } from '../http/refusal'

export const jarRows = `
  select jar.id, jar.version, jar.code, jar.chemical, jar.lot, jar.place, jar.opened_at as "openedAt", jar.assay, jar.price_per_kg as "pricePerKg",
    jar.reorder_g as "reorderG", jar.spoon_g as "spoonG", jar.storage,
    coalesce((select sum(grams) from jar_entry where jar_id = jar.id), 0) as grams,
    case when sheet.jar_id is null then null else json_build_object('name', sheet.name, 'type', sheet.type, 'bytes', octet_length(sheet.bytes)) end as sheet
  from jar left join jar_sheet sheet on sheet.jar_id = jar.id`

export async function jarRow(db: Database, id: string, tx?: Transaction): Promise<Jar> {
  const row = await db.one<Jar>(`${jarRows} where jar.id = $1`, [id], tx)
  if (!row) throw notFound('jar')
  return row
}

/** A jar with its ledger, newest line first, each with what the jar held after it. */
export async function jarPage(db: Database, id: string, tx?: Transaction): Promise<JarPage> {
  const jar = await jarRow(db, id, tx)
  const ledger = await db.rows<JarEntry>(
    `select e.id, e.kind, e.grams, sum(e.grams) over (order by e.at, e.kind = 'consume', e.id) as "balanceG", e.at, coalesce(p.name, 'someone who left') as by, e.note, e.mix_id as "mixId", e.reverses, (select x.id from jar_entry x where x.reverses = e.id) as "reversedBy"
     from jar_entry e left join person p on p.id = e.by_person where e.jar_id = $1 order by e.at desc, e.kind = 'consume' desc, e.id desc`,
    [id],
    tx,
  )
  return { ...jar, ledger }
}

/** The jar with its row locked, so that its sum holds until the end of the transaction. */
export async function lockJar(db: Database, id: string, tx: Transaction | undefined): Promise<Jar> {
  await db.rows('select id from jar where id = $1 for update', [id], tx)
  return jarRow(db, id, tx)
}

export const writeJarEntry = (
  db: Database,
  entry: { id: string; jarId: string; kind: JarEntry['kind']; grams: number; at: number; by: string; note?: string; reverses?: string },
  tx: Transaction | undefined,
): Promise<void> =>
  db.run(
    'insert into jar_entry (id, jar_id, kind, grams, at, by_person, note, reverses) values ($1, $2, $3, $4, $5, $6, $7, $8)',
    [entry.id, entry.jarId, entry.kind, entry.grams, new Date(entry.at), entry.by, entry.note ?? '', entry.reverses ?? null],
    tx,
  )
