import { aidOf, type AidSubstance } from '@selvrin/core'
import type { aidApi } from '@selvrin/core/contract'
import { z } from 'zod'
import { contentsOf } from '../bottle/contents'
import { catalogueOf } from '../chemical/chemistry'
import { sinkOf } from '../drum/facts'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'

/** more stand before nobody at once */
const mostBottles = 12

/** By what is really in each bottle; one that is not there (any more) is left out. */
export const bottles: Handler<typeof aidApi.bottles> = async ({ db, query }) => {
  const ids = z
    .array(z.uuid())
    .max(mostBottles)
    .safeParse([...new Set(query.ids.split(','))].filter(Boolean))
  if (!ids.success) throw new Refusal(422, 'bad-ids', `At most ${mostBottles} bottles, each by its id.`, { field: 'ids' })
  const catalogue = await catalogueOf(db)
  const known = await db.Bottle.findAll({ attributes: ['id'], where: { id: ids.data }, raw: true })
  const found: Record<string, AidSubstance> = {}
  for (const { id } of known) found[id] = aidOf(await contentsOf(db, id, catalogue), catalogue)
  return { bottles: found }
}

export const numbers: Handler<typeof aidApi.numbers> = async ({ db }) => {
  const { emergency, poison } = await sinkOf(db)
  return { emergency, poison }
}
