import { chemicalOf, productGrams, whatCounts, type Catalogue } from '@selvrin/core'
import type { Mix } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { bottlesById } from '../bottle/rows'
import { catalogueOf } from '../chemical/chemistry'
import type { Database } from '../database/connection'
import { stateOf } from './rows'

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

/**
 * Takes what was weighed from the jars, and drawn stock solutions from their bottles. A jar or bottle that held more than its record said
 * is corrected, since it was there.
 */
export async function takeFromShelf(db: Database, mix: Mix, by: string, now: number, tx: Transaction | undefined): Promise<void> {
  const { jars, bottles } = takenBy(mix, await catalogueOf(db, tx))
  await takeFromBottles(db, mix, bottles, by, now, tx)
  const ids = [...jars.keys()]
  if (ids.length === 0) return
  await db.rows('select id from jar where id = any($1::uuid[]) order by id for update', [ids], tx)
  const held = await db.rows<{ id: string; grams: number }>(
    'select jar_id as id, sum(grams) as grams from jar_entry where jar_id = any($1::uuid[]) group by jar_id',
    [ids],
    tx,
  )
  const lines = [...jars].flatMap(([jarId, grams]) => {
    const lacking = grams - (held.find((jar) => jar.id === jarId)?.grams ?? 0)
    const line = (kind: string, amount: number, note: string) => ({ id: uuid(), jarId, kind, grams: amount, note })
    return [...(lacking > 0 ? [line('correct', lacking, 'held more than its record')] : []), line('consume', -grams, mix.formulaName)]
  })
  for (const kind of ['correct', 'consume'])
    await db.run(
      `insert into jar_entry (id, jar_id, kind, grams, note, mix_id, at, by_person)
       select l.id, l."jarId", l.kind, l.grams, l.note, $2, $3, $4 from jsonb_to_recordset($1::jsonb) as l(id uuid, "jarId" uuid, kind text, grams numeric, note text)`,
      [JSON.stringify(lines.filter((line) => line.kind === kind)), mix.id, new Date(now), by],
      tx,
    )
  // a jar is open from the first time something is taken
  await db.run(
    'update jar set opened_at = $2, version = version + 1 where id = any($1::uuid[]) and opened_at is null',
    [ids, new Date(now)],
    tx,
  )
}

async function takeFromBottles(
  db: Database,
  mix: Mix,
  bottles: Map<string, number>,
  by: string,
  now: number,
  tx: Transaction | undefined,
): Promise<void> {
  if (bottles.size === 0) return
  await lockBottles(db, [...bottles.keys()], tx)
  const held = await bottlesById(db, [...bottles.keys()], now, tx)
  for (const [bottleId, ml] of bottles) {
    const lacking = ml - (held.find((bottle) => bottle.id === bottleId)?.state.volumeMl ?? 0)
    if (lacking > 0)
      await writeEntry(db, { id: uuid(), bottleId, kind: 'correct', at: now, by, ml: lacking, note: 'held more than its record' }, tx)
    await writeEntry(db, { id: uuid(), bottleId, kind: 'dilute-out', at: now, by, ml: -ml, note: `into ${mix.formulaName}` }, tx)
  }
}
