import { decideCombining, pouredTogether, volumesOfParts, type Catalogue, type Formula } from '@selvrin/core'
import type { api, Bottle } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { formulaRow } from '../formula/rows'
import { inOrderOf } from '../http/page'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { contentsOf } from './contents'
import { lockBottles } from './ledger'
import { bottleById, bottlesById } from './rows'
import { writeDecided } from './write'

const plainWater: Formula = { id: 'water', name: 'Water', family: 'other', finalMl: 1000, startMl: 0, mixC: 20, additions: [] }

/** What comes of the parts and the water together, by what is really in them. */
async function meetsTogether(db: Database, from: Bottle[], { ml, waterMl }: ReturnType<typeof volumesOfParts>, catalogue: Catalogue) {
  const poured = [{ formula: plainWater, ml: waterMl }]
  for (const [i, bottle] of from.entries()) poured.push({ formula: await contentsOf(db, bottle.id, catalogue), ml: ml[i] ?? 0 })
  return pouredTogether(poured, catalogue)
}

type Asked = Parameters<Handler<typeof api.bottle.combine>>[0]['body']

/** The parts of a formula poured together, in their order, with water. */
export async function combineBottles(db: Database, body: Asked, { by, now }: { by: string; now: number }): Promise<void> {
  const formula = await formulaRow(db, body.formulaId)
  const { name, family, combine: wanted = [] } = formula.body
  await lockBottles(db, body.from)
  const from = inOrderOf(body.from, await bottlesById(db, body.from, now))
  const combining = { name, wanted, from }
  const meets = await meetsTogether(db, from, volumesOfParts(combining, body), await catalogueOf(db))
  const like = { family, formulaVersionId: formula.versionId, batchId: null, fromBottleId: body.from[0] ?? null }
  await writeDecided(db, decideCombining(combining, body, meets), { by, now, bottles: from, like })
}

export const combine: Handler<typeof api.bottle.combine> = async ({ db, body, who, now }) => {
  await combineBottles(db, body, { by: who.id, now })
  return bottleById(db, body.newId, now)
}
