import { scaleFormula, whatGoesIn, withContents, type Addition, type Catalogue, type Formula } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { usedFormula } from '../formula/used'
import { mixRow, stateOf } from '../mix/rows'

interface Row {
  formulaId: string
  body: FormulaBody
  mixId: string | null
  parts: number[] | null
}

/** How far back a bottle's liquid is followed: parts of parts. */
const mostSteps = 4

/**
 * What is really in a bottle: what was weighed for its batch rather than what the formula says, diluted as it is, with all that was poured into it from
 * other bottles. A bought liquid is taken to hold what its family usually does.
 */
export async function contentsOf(
  db: Database,
  bottleId: string,
  catalogue: Catalogue,
  tx?: Transaction,
  steps = mostSteps,
): Promise<Formula> {
  const row = await db.one<Row>(
    `select v.formula_id as "formulaId", v.body, batch.mix_id as "mixId", b.parts
     from bottle b join formula_version v on v.id = b.formula_version_id left join batch on batch.id = b.batch_id where b.id = $1`,
    [bottleId],
    tx,
  )
  const nothing: Formula = { id: 'water', name: 'Water', family: 'other', finalMl: 1000, startMl: 0, mixC: 20, additions: [] }
  if (!row) return nothing
  const written = usedFormula(row.formulaId, row.body)
  const mixed: Formula = row.mixId ? whatGoesIn(stateOf(await mixRow(db, row.mixId, tx), catalogue), catalogue) : written
  const others = await db.rows<{ id: string; ml: number; kind: string }>(
    `select bottle_id as id, -sum(ml) as ml, kind from bottle_entry
     where other_bottle_id = $1 and ml < 0 and kind in ('pour-out', 'dilute-out', 'wrong-bottle') group by bottle_id, kind order by min(at)`,
    [bottleId],
    tx,
  )
  const poured = row.body.combine ? others : others.filter((one) => one.kind !== 'dilute-out')
  const came: Addition[] = []
  let cameMl = 0
  if (steps > 0)
    for (const { id, ml } of poured) {
      came.push(...scaleFormula(await contentsOf(db, id, catalogue, tx, steps - 1), ml).additions)
      cameMl += ml
    }
  if (row.body.combine && came.length > 0) return { ...written, finalMl: Math.max(cameMl, partsMl(row.parts, cameMl)), additions: came }
  const own = withContents(mixed)
  const share = row.parts === null ? 1 : (row.parts[0] ?? 1) / row.parts.reduce((sum, part) => sum + part, 0)
  return { ...own, finalMl: own.finalMl / share + cameMl, additions: [...own.additions, ...came] }
}

/** ml of the whole where the parts that came are all but its last, the water. */
const partsMl = (parts: number[] | null, cameMl: number): number => {
  const all = parts?.reduce((sum, part) => sum + part, 0) ?? 1
  const water = parts && parts.length > 2 ? (parts.at(-1) ?? 0) : 0
  return all > water ? (cameMl * all) / (all - water) : cameMl
}
