import { bottleLinesOf, jarLinesOf, takenBy, type Taken } from '@selvrin/core'
import type { Mix } from '@selvrin/core/contract'
import { col, fn } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntries } from '../bottle/ledger'
import { bottlesById } from '../bottle/rows'
import { entriesOf } from '../bottle/write'
import { catalogueOf } from '../chemical/chemistry'
import { stateOf } from '../formula/mixed'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'

interface Taking {
  mix: Mix
  taken: Taken
  by: string
  now: number
}

/** Takes what was weighed from the jars, and drawn stock solutions from their bottles. */
export async function takeFromShelf(db: Database, mix: Mix, by: string, now: number): Promise<void> {
  const catalogue = await catalogueOf(db)
  const taking = { mix, taken: takenBy(stateOf(mix, catalogue), mix.events, catalogue), by, now }
  await takeFromBottles(db, taking)
  await takeFromJars(db, taking)
}

async function takeFromJars(db: Database, { mix, taken, by, now }: Taking): Promise<void> {
  const ids = [...taken.jars.keys()]
  if (ids.length === 0) return
  await db.Jar.findAll({ attributes: ['id'], where: { id: ids }, order: [['id', 'asc']], lock: true, raw: true })
  const sums = await db.JarEntry.findAll({
    attributes: ['jarId', [fn('sum', col('grams')), 'grams']],
    where: { jarId: ids },
    group: ['jarId'],
    raw: true,
  })
  const jars = sums.map(({ jarId: id, grams }) => ({ id, grams }))
  const lines = jarLinesOf(taken, jars, mix.formulaName).map((line) => ({ ...line, id: uuid(), mixId: mix.id, at: now, byPerson: by }))
  for (const kind of ['correct', 'consume'] as const) await db.JarEntry.bulkCreate(lines.filter((one) => one.kind === kind))
  // a jar is open from the first time something is taken
  await changeAll(db.Jar, { openedAt: now }, { id: ids, openedAt: null })
}

async function takeFromBottles(db: Database, { mix, taken, by, now }: Taking): Promise<void> {
  const ids = [...taken.bottles.keys()]
  if (ids.length === 0) return
  await lockBottles(db, ids)
  await writeEntries(db, entriesOf(bottleLinesOf(taken, await bottlesById(db, ids, now), mix.formulaName), { by, now }))
}
