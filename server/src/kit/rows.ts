import type { KitCount } from '@selvrin/core'
import type { Kit } from '@selvrin/core/contract'
import type { WhereOptions } from 'sequelize'
import { kitMixed } from '../bottle/kits'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'
import { kitsWithFilms } from './queries'

const countOf = ({ used, rolls, rollsLeft }: KitCount = { used: 0, rolls: 0, rollsLeft: 0 }): KitCount => ({ used, rolls, rollsLeft })

/** Kits with those that were mixed, the newest of them first. */
export async function kitRows(db: Database, where: WhereOptions, limit?: number): Promise<Kit[]> {
  const kits = await db.Kit.findAll({ where, order: ['id'], ...(limit === undefined ? {} : { limit }) })
  const sets = await db.KitSet.findAll({ where: { kitId: kits.map((kit) => kit.id) }, include: [withName()], order: [['number', 'desc']] })
  const ids = sets.map((set) => set.id)
  const bottles = await db.Bottle.findAll({ where: { kitSetId: ids }, include: [{ association: 'madeOf' }], order: ['letter', 'number'] })
  const mixes = await db.Mix.findAll({ where: { kitSetId: ids, state: 'open' }, include: [{ association: 'madeOf' }] })
  const counts = new Map((await kitsWithFilms(db, { ids })).map((one) => [one.setId, kitMixed(one)]))
  return kits.map(({ id, version, body }) => ({
    id,
    version,
    body,
    sets: sets
      .filter((set) => set.kitId === id)
      .map((set) => ({
        ...{ id: set.id, number: set.number, begunAt: set.begunAt, begunBy: nameOf(set.by), body: set.body },
        ...countOf(counts.get(set.id)),
        bottles: bottles
          .filter((bottle) => bottle.kitSetId === set.id)
          .map((bottle) => ({
            ...{ id: bottle.id, label: `${bottle.letter}${bottle.number}`, formulaId: bottle.madeOf?.formulaId ?? '' },
            retiredAt: bottle.retiredAt ?? null,
          })),
        mixes: mixes.filter((mix) => mix.kitSetId === set.id).map((mix) => ({ id: mix.id, formulaId: mix.madeOf?.formulaId ?? '' })),
      })),
  }))
}

export async function kitRow(db: Database, id: string): Promise<Kit> {
  const [kit] = await kitRows(db, { id })
  if (!kit) throw notFound('kit')
  return kit
}
