import { benchPartOf, costOf, mixedInto, pricesFor, type BenchPart, type Catalogue, type Formula } from '@selvrin/core'
import type { BenchBottle, FormulaRow, Jar } from '@selvrin/core/contract'
import { contentsOf } from '../bottle/contents'
import { bottlesById } from '../bottle/rows'
import { catalogueOf } from '../chemical/chemistry'
import { newestFormulas } from '../formula/queries'
import { jarsWithSums } from '../jar/queries'
import type { Database } from '../table/database'

/** What a bottle is on the coating bench, and what a ml of it costs, by what is really in it; null where it is nothing there. */
export interface OnBench extends BenchPart {
  contents: Formula
  pricePerMl: number | null
}

export const jarsOf = (db: Database): Promise<Jar[]> => jarsWithSums(db, { ids: null, after: null, limit: null })

export async function onBench(db: Database, bottleId: string, catalogue: Catalogue, jars: Jar[]): Promise<OnBench | null> {
  const contents = await contentsOf(db, bottleId, catalogue)
  const part = benchPartOf(contents.additions.map((one) => one.chemical))
  if (!part) return null
  const { perLitre, unpriced } = costOf(contents, pricesFor(contents, jars, catalogue), catalogue)
  return { ...part, contents, pricePerMl: unpriced.length > 0 ? null : perLitre / 1000 }
}

/** Bottles in use whose recipe, or that of a part of it, holds what belongs on the bench. What is really in them is looked at after that. */
async function likely(db: Database, recipes: FormulaRow[]): Promise<string[]> {
  const bodyOf = new Map(recipes.map((one) => [one.id, one.body]))
  const rows = await db.Bottle.findAll({
    attributes: ['id'],
    where: { retiredAt: null },
    include: [{ association: 'madeOf' }],
    order: ['id'],
  })
  return rows
    .filter(({ madeOf }) => {
      const parts = (madeOf?.body.combine ?? []).flatMap((one) => bodyOf.get(one.formulaId) ?? [])
      return [madeOf?.body, ...parts].some((body) => body && benchPartOf(body.additions.map((one) => one.chemical)) !== null)
    })
    .map((row) => row.id)
}

/** What stands on the shelf for the coating bench. */
export async function benchRows(db: Database, now: number): Promise<BenchBottle[]> {
  const catalogue = await catalogueOf(db)
  const jars = await jarsOf(db)
  const recipes = await newestFormulas(db, { ids: null, after: null, limit: null })
  const rows: BenchBottle[] = []
  for (const bottle of await bottlesById(db, await likely(db, recipes), now)) {
    const on = await onBench(db, bottle.id, catalogue, jars)
    const others = mixedInto(bottle.formulaId, recipes)
    const isAnothers = others.length > 0 && !others.some((one) => on?.processes.includes(one))
    if (!on || isAnothers || bottle.state.volumeMl <= 0) continue
    const { id, label, name, state } = bottle
    rows.push({
      id,
      label,
      name,
      ml: state.volumeMl,
      part: on.part,
      processes: on.processes,
      pricePerMl: on.pricePerMl,
      findings: state.findings,
    })
  }
  return rows
}
