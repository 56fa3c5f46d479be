import { usualDueRules } from '@selvrin/core'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { rebuildCheckpoints } from '../bottle/checkpoint'
import { newCode, sha256 } from '../credential/password'
import { loadDemo } from '../demo/load'
import type { Clock } from '../house/clock'
import type { Database } from '../table/database'
import { mendClock } from './clockMend'
import { alone, migrateUp, requireKnownSchema } from './migrate'
import { shipProcesses } from '../process/shipped'
import { forgetOldAnswers } from './pruning'

export type Kind = 'demo' | 'house'

/** The database is of the other kind than asked for, or may not be erased. */
export class WrongKind extends Error {}

/** What kind this database is; null while it has no schema. */
export async function kindOf(db: Database): Promise<Kind | null> {
  const tables = await db.sequelize.getQueryInterface().showAllTables()
  if (tables.includes('darkroom')) return (await db.Darkroom.findOne({ attributes: ['kind'] }))?.kind ?? null
  const foreign = tables.find((name) => name !== 'migration')
  if (foreign !== undefined)
    throw new WrongKind(`This database holds something else already (a table “${foreign}”): give the darkroom an empty one.`)
  return null
}

/**
 * Migrates, marks an empty database as demo or house, loads the demo into a demo, and answers the kind and, for a house without a technician,
 * a fresh code to make the first one with. Nothing here puts demo data into a house or erases one.
 */
export async function prepare(
  db: Database,
  clock: Clock,
  ask: { kind: Kind; strict: boolean; fresh: boolean; /** without its arranged evening a demo is there sooner */ evening?: boolean },
): Promise<{ kind: Kind; migrated: string[]; isNew: boolean; firstCode: string | null }> {
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
    if (ask.fresh && before === 'demo') {
      await db.sequelize.dropSchema('public', {})
      await db.sequelize.createSchema('public', {})
    }
    if (before !== null) await requireKnownSchema(db)
    const migrated = await migrateUp(db)
    const kind = ask.fresh ? 'demo' : (before ?? ask.kind)
    const isNew = (await db.Darkroom.count()) === 0
    if (isNew) await db.Darkroom.create({ kind, ...(kind === 'demo' ? demoHouse : newHouse) })
    await firstRules(db)
    await shipProcesses(db, clock.now())
    if (migrated.length > 0 && before !== null) await rebuildCheckpoints(db, false)
    if (isNew && kind === 'demo') await loadDemo(db, clock.now(), ask)
    else await mendClock(db, clock.now())
    await forgetOldAnswers(db, clock.now())
    return { kind, migrated, isNew, firstCode: kind === 'house' ? await firstCode(db) : null }
  })
}

const demoHouse = { name: 'Tidewheel Darkroom', zone: 'Europe/Lisbon', tapColdC: 12, tapHotC: 54, roomC: 21 }
const newHouse = { name: 'Our darkroom', zone: 'UTC' }

/** When tests fall due, to begin with; a technician changes them. */
async function firstRules(db: Database): Promise<void> {
  if ((await db.DueRule.count()) === 0) await db.DueRule.bulkCreate(usualDueRules.map((rule) => ({ ...rule, id: uuid() })))
}

async function firstCode(db: Database): Promise<string | null> {
  if ((await db.Person.count({ where: { role: 'technician', passwordHash: { [Op.not]: null } } })) > 0) return null
  const code = newCode(10)
  const darkroom = await db.Darkroom.findOne({ rejectOnEmpty: true })
  await darkroom.update({ firstCodeHash: sha256(code) })
  return code
}
