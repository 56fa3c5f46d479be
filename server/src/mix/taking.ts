import { chemicalOf, productGrams, whatCounts, type Catalogue } from '@selvrin/core'
import type { Mix } from '@selvrin/core/contract'
import { col, fn } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { bottlesById } from '../bottle/rows'
import { catalogueOf } from '../chemical/chemistry'
import { stateOf } from '../formula/mixed'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'

interface Taken {
  /** g of the product out of each jar */
  jars: Map<string, number>
  /** ml of stock solution out of each bottle */
  bottles: Map<string, number>
}

function takenBy(mix: Mix, catalogue: Catalogue): Taken {
  const { lines } = stateOf(mix, catalogue)
  const taken: Taken = { jars: new Map(), bottles: new Map() }
  const held = new Map<number, string>()
  const add = (to: Map<string, number>, id: string, amount: number) => to.set(id, (to.get(id) ?? 0) + amount)
  for (const event of whatCounts(mix.events)) {
    if (event.kind === 'jar') held.set(event.step, event.chemical)
    if (event.kind !== 'weigh') continue
    const line = lines[event.step]
    if (event.bottleId) add(taken.bottles, event.bottleId, event.amount)
    if (!event.jarId || !line) continue
    const chemical = chemicalOf(held.get(event.step) ?? line.line.chemical.id, catalogue)
    add(taken.jars, event.jarId, productGrams(line.line, chemical, event.amount))
  }
  return taken
}

/** A jar or bottle that held more than its record said is corrected, since it was there. */
const heldMore = 'held more than its record'

/** Takes what was weighed from the jars, and drawn stock solutions from their bottles. */
export async function takeFromShelf(db: Database, mix: Mix, by: string, now: number): Promise<void> {
  const { jars, bottles } = takenBy(mix, await catalogueOf(db))
  await takeFromBottles(db, mix, bottles, by, now)
  const ids = [...jars.keys()]
  if (ids.length === 0) return
  await db.Jar.findAll({ attributes: ['id'], where: { id: ids }, order: [['id', 'asc']], lock: true, raw: true })
  const held = await db.JarEntry.findAll({
    attributes: ['jarId', [fn('sum', col('grams')), 'grams']],
    where: { jarId: ids },
    group: ['jarId'],
    raw: true,
  })
  const line = { mixId: mix.id, at: now, byPerson: by }
  const lines = [...jars].flatMap(([jarId, grams]) => {
    const lacking = grams - (held.find((jar) => jar.jarId === jarId)?.grams ?? 0)
    return [
      ...(lacking > 0 ? [{ ...line, id: uuid(), jarId, kind: 'correct' as const, grams: lacking, note: heldMore }] : []),
      { ...line, id: uuid(), jarId, kind: 'consume' as const, grams: -grams, note: mix.formulaName },
    ]
  })
  for (const kind of ['correct', 'consume'] as const) await db.JarEntry.bulkCreate(lines.filter((one) => one.kind === kind))
  // a jar is open from the first time something is taken
  await changeAll(db.Jar, { openedAt: now }, { id: ids, openedAt: null })
}

async function takeFromBottles(db: Database, mix: Mix, bottles: Map<string, number>, by: string, now: number): Promise<void> {
  if (bottles.size === 0) return
  const ids = [...bottles.keys()]
  await lockBottles(db, ids)
  const held = await bottlesById(db, ids, now)
  for (const [bottleId, ml] of bottles) {
    const lacking = ml - (held.find((bottle) => bottle.id === bottleId)?.state.volumeMl ?? 0)
    const line = { bottleId, at: now, by }
    if (lacking > 0) await writeEntry(db, { ...line, id: uuid(), kind: 'correct', ml: lacking, note: heldMore })
    await writeEntry(db, { ...line, id: uuid(), kind: 'dilute-out', ml: -ml, note: `into ${mix.formulaName}` })
  }
}
