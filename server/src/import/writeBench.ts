import { coatStanding, requireCoatAct, requireCoated, requireSwatch, type CoatTold } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { oneAtATime } from '../house/queries'
import { Refusal } from '../house/refusal'
import { changed } from './writePrint'
import { asItWas, type Rows, type Write } from './write'

/** Strips of a swatch book; their photographs are not in a file. */
export async function writeSwatches({ db, by }: Write, rows: Rows<'swatches'>): Promise<number> {
  for (const { id, at, body } of rows) {
    requireSwatch(body)
    await db.Swatch.create({ id, at, byPerson: by, body })
  }
  return rows.length
}

/** UV lamps, new or changed. */
export async function writeLamps({ db }: Write, rows: Rows<'lamps'>): Promise<number> {
  for (const { id, version, body } of rows) {
    if (version === null) await db.UvLamp.create({ id, body })
    else await asItWas(changed((await db.UvLamp.findByPk(id))?.set({ runS: 0 }) ?? null, body, version), 'A lamp')
  }
  return rows.length
}

/** Hand-coated prints with what was done with them; nothing is poured from a bottle of this house for it. */
export async function writeCoated({ db, by }: Write, rows: Rows<'coated'>): Promise<number> {
  const owners = new Set(rows.flatMap(({ body }) => body.memberId ?? []))
  if ((await db.Person.count({ where: { id: [...owners], active: true } })) !== owners.size)
    throw new Refusal(422, 'no-person', 'Whose print is it? That person is not there any more.', { field: 'memberId' })
  await oneAtATime(db, 'coated number')
  let number = ((await db.Coated.max('number')) as number | null) ?? 0
  for (const { id, body: row } of rows) {
    requireCoated(row.body)
    const told: CoatTold[] = []
    for (const one of row.acts) {
      requireCoatAct(row.body.process, coatStanding(row.body.process, told), one.act)
      told.push(one)
    }
    const endedAt = coatStanding(row.body.process, row.acts).stage === 'done' ? (row.acts.at(-1)?.at ?? null) : null
    await db.Coated.create({ id, number: ++number, memberId: row.memberId, body: row.body, byPerson: by, at: row.at, endedAt })
    await db.CoatedAct.bulkCreate(row.acts.map((one) => ({ id: uuid(), coatedId: id, byPerson: row.memberId, ...one })))
  }
  return rows.length
}
