import { pouredTogether, scaleFormula, shareOf, withContents, type Addition, type Catalogue, type Formula } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { col, fn, Op } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { mixedFor } from '../formula/mixed'
import { usedFormula } from '../formula/used'
import type { Database } from '../table/database'

/** What comes of pouring ml of one bottle onto what another holds, by what is really in them. */
export async function meetsOf(db: Database, into: Bottle, from: Bottle, ml: number) {
  const catalogue = await catalogueOf(db)
  return pouredTogether(
    [
      { formula: await contentsOf(db, into.id, catalogue), ml: into.state.volumeMl },
      { formula: await contentsOf(db, from.id, catalogue), ml },
    ],
    catalogue,
  )
}

/** How far back a bottle's liquid is followed: parts of parts. */
const mostSteps = 4

/** Liquid that came into a bottle from others, by where it came from, in the order of pouring. */
const pouredInto = (db: Database, bottleId: string) =>
  db.BottleEntry.findAll({
    attributes: ['bottleId', 'kind', [fn('sum', col('ml')), 'ml']],
    where: { otherBottleId: bottleId, ml: { [Op.lt]: 0 }, kind: ['pour-out', 'dilute-out', 'wrong-bottle'] },
    group: ['bottleId', 'kind'],
    order: fn('min', col('at')),
    raw: true,
  })

/**
 * What is really in a bottle: what was weighed for its batch rather than what the formula says, diluted as it is, with all that was poured into it from
 * other bottles. A bought liquid is taken to hold what its family usually does.
 */
export async function contentsOf(db: Database, bottleId: string, catalogue: Catalogue, steps = mostSteps): Promise<Formula> {
  const row = await db.Bottle.findByPk(bottleId, { include: [{ association: 'madeOf' }, { association: 'batch' }] })
  if (!row?.madeOf) return { id: 'water', name: 'Water', family: 'other', finalMl: 1000, startMl: 0, mixC: 20, additions: [] }
  const { formulaId, body } = row.madeOf
  const written = usedFormula(formulaId, body)
  const mixed: Formula = row.batch?.mixId ? await mixedFor(db, row.batch.mixId, catalogue) : written
  const others = await pouredInto(db, bottleId)
  const poured = body.combine ? others : others.filter((one) => one.kind !== 'dilute-out')
  const came: Addition[] = []
  let cameMl = 0
  if (steps > 0)
    for (const { bottleId: from, ml } of poured) {
      came.push(...scaleFormula(await contentsOf(db, from, catalogue, steps - 1), -ml).additions)
      cameMl -= ml
    }
  if (body.combine && came.length > 0) return { ...written, finalMl: Math.max(cameMl, partsMl(row.parts, cameMl)), additions: came }
  const own = withContents(mixed)
  const share = shareOf(row.parts)
  return { ...own, finalMl: own.finalMl / share + cameMl, additions: [...own.additions, ...came] }
}

/** ml of the whole where the parts that came are all but its last, the water. */
const partsMl = (parts: number[] | null, cameMl: number): number => {
  const all = parts?.reduce((sum, part) => sum + part, 0) ?? 1
  const water = parts && parts.length > 2 ? (parts.at(-1) ?? 0) : 0
  return all > water ? (cameMl * all) / (all - water) : cameMl
}
