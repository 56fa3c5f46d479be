import { usualDueRules } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Clock } from '../clock'
import { rebuildCheckpoints } from '../bottle/checkpoint'
import { loadDemo } from '../demo/load'
import { idempotencyLifeMs } from '../http/pruning'
import { newCode, sha256 } from '../session/password'
import { mendClock } from './clockMend'
import type { Database } from './connection'
import { alone, migrateUp } from './migrate'

export type Kind = 'demo' | 'house'

/** The database is of the other kind than asked for, or may not be erased. */
export class WrongKind extends Error {}

/** What kind this database is; null while it has no schema. */
export async function kindOf(db: Database): Promise<Kind | null> {
  const there = await db.one<{ there: string | null }>(`select to_regclass('public.darkroom') as there`)
  if (!there?.there) {
    const foreign = await db.one<{ name: string }>(
      `select tablename as name from pg_tables where schemaname = 'public' and tablename <> 'migration' limit 1`,
    )
    if (foreign)
      throw new WrongKind(`This database holds something else already (a table “${foreign.name}”): give the darkroom an empty one.`)
    return null
  }
  return (await db.one<{ kind: Kind }>('select kind from darkroom'))?.kind ?? null
}

/**
 * Migrates, marks an empty database as demo or house, loads the demo into a demo, and answers the kind and, for a house without a technician,
 * a fresh code to make the first one with. Nothing here puts demo data into a house or erases one.
 */
export async function prepare(
  db: Database,
  clock: Clock,
  ask: { kind: Kind; strict: boolean; fresh: boolean },
): Promise<{ kind: Kind; migrated: string[]; firstCode: string | null }> {
  return alone(db, async () => {
    const before = await kindOf(db)
    if (before === 'house' && (ask.fresh || (ask.strict && ask.kind === 'demo')))
      throw new WrongKind(
        ask.fresh
          ? 'This database belongs to a real darkroom: --fresh would erase it, so nothing was done.'
          : 'This database belongs to a real darkroom: --demo is refused.',
      )
    if (before === 'demo' && ask.strict && ask.kind === 'house')
      throw new WrongKind('This database holds the demo: --house needs one of its own.')
    if (ask.fresh && before === null && ask.kind === 'house')
      throw new WrongKind('--fresh resets the demo; a house database is never erased.')
    if (ask.fresh && before === 'demo') await db.run('drop schema public cascade; create schema public')
    const migrated = await migrateUp(db)
    const kind = ask.fresh ? 'demo' : (before ?? ask.kind)
    const marked = await db.rows(
      `insert into darkroom (kind, name, zone, tap_cold_c, tap_hot_c, room_c) values ($1, $2, $3, $4, $5, $6) on conflict do nothing returning kind`,
      kind === 'demo' ? ['demo', 'Tidewheel Darkroom', 'Europe/Lisbon', 12, 54, 21] : ['house', 'Our darkroom', 'UTC', null, null, null],
    )
    await firstRules(db)
    if (migrated.length > 0 && before !== null) await rebuildCheckpoints(db, false)
    if (marked.length > 0 && kind === 'demo') await loadDemo(db, clock.now())
    else await mendClock(db, clock.now())
    await db.run('delete from idempotency where created_at < $1', [new Date(clock.now() - idempotencyLifeMs)])
    return { kind, migrated, firstCode: kind === 'house' ? await firstCode(db) : null }
  })
}

/** When tests fall due, to begin with; a technician changes them. */
async function firstRules(db: Database): Promise<void> {
  if (await db.one('select id from due_rule limit 1')) return
  for (const rule of usualDueRules)
    await db.run(
      'insert into due_rule (id, family, kind, at_mixing, every_days, every_share, before_critical, active) values ($1, $2, $3, $4, $5, $6, $7, $8)',
      [uuid(), rule.family, rule.kind, rule.atMixing, rule.everyDays, rule.everyShare, rule.beforeCritical, rule.active],
    )
}

async function firstCode(db: Database): Promise<string | null> {
  const code = newCode(10)
  const open = await db.rows(
    `update darkroom set first_code_hash = $1 where not exists (select from person where role = 'technician' and password_hash is not null) returning kind`,
    [sha256(code)],
  )
  return open.length > 0 ? code : null
}
