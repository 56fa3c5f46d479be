import { fixtureStanding, handlingBlock, heatingBlock, safetyBlocks, type Blocks, type Catalogue } from '@selvrin/core'
import type { Fixture } from '@selvrin/core/contract'
import { sinkOf } from '../drum/facts'
import { nameOf, withName } from '../house/left'
import { Refusal } from '../house/refusal'
import type { Database } from '../table/database'

/** checks of each thing that are looked at again: the last of every kind is among them */
const mostChecks = 40

/** The things of the house as they stand, or those of them. */
export async function fixtureRows(db: Database, now: number, where: object = {}): Promise<Fixture[]> {
  const { roomM3 } = await sinkOf(db)
  const rows = await db.Fixture.findAll({
    where: { goneAt: null, ...where },
    include: [{ association: 'checks', include: [withName()], separate: true, order: [['seq', 'desc']], limit: mostChecks }],
    order: ['id'],
  })
  return rows.map(({ id, version, body, checks = [] }) => {
    const told = [...checks]
      .sort((a, b) => b.at - a.at || Number(b.seq) - Number(a.seq))
      .map((one) => ({ id: one.id, at: one.at, by: nameOf(one.by), result: one.result }))
    return { id, version, body, standing: fixtureStanding(body, [...told].reverse(), { now, roomM3 }), checks: told }
  })
}

const blocksNow = async (db: Database, now: number): Promise<Blocks> =>
  safetyBlocks((await fixtureRows(db, now)).map(({ body, standing }) => ({ body, is: standing })))

/** Refuses what burns, dusts or gasses while what it needs is not in order; what is dissolved already raises no dust. */
export async function requireHandled(
  db: Database,
  chemicals: string[],
  { now, catalogue, dissolved = false }: { now: number; catalogue: Catalogue; dissolved?: boolean },
): Promise<void> {
  const all = await blocksNow(db, now)
  const blocks = dissolved ? { ...all, ventilation: null } : all
  for (const id of chemicals) {
    const chemical = catalogue[id]
    const block = chemical && handlingBlock(chemical, blocks)
    if (block) throw new Refusal(409, 'not-safe', block)
  }
}

/** Refuses a heated bath while the switch of the mains was not found good. */
export async function requireHeated(db: Database, temperaturesC: number[], now: number): Promise<void> {
  const block = heatingBlock(temperaturesC, await blocksNow(db, now))
  if (block) throw new Refusal(409, 'not-safe', block)
}
