import { catalogue, checkFormula, withOwn, type Formula } from '@selvrin/core'
import { api, ownChemical, type ChemicalRow } from '@selvrin/core/contract'
import { destroySeen, saveSeen } from '../http/changing'
import { byId, pageOf } from '../http/page'
import { notFound, Refusal, stale } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'
import { isUsed } from './queries'
import { shown, withNames } from './rows'

const rowOf = (db: Database, id: string) => db.Chemical.findByPk(id, withNames)
const shownOf = async (db: Database, id: string): Promise<ChemicalRow | null> => {
  const row = await rowOf(db, id)
  return row && shown(row)
}

const listChemicals: Handler<typeof api.chemical.list> = async ({ db, query }) =>
  pageOf((await db.Chemical.findAll({ ...withNames, ...byId(query) })).map(shown), query.limit)

/** Core takes it apart here once, so that nonsense does not wait for the next mix. */
function requireSense(id: string, body: ChemicalRow['body']): void {
  const additions = [{ chemical: id, grams: 1 }]
  const sample: Formula = { id: 'sample', name: '', family: 'other', finalMl: 1000, startMl: 750, mixC: 20, additions }
  checkFormula(sample, withOwn([ownChemical({ id, body })]))
}

const putChemical: Handler<typeof api.chemical.put> = async ({ db, params, body, who, now }) => {
  const before = await rowOf(db, params.id)
  if ((before?.version ?? null) !== body.version) throw stale(before && shown(before))
  requireSense(params.id, body.body)
  const facts = { body: body.body, changedBy: who.id, changedAt: now }
  if (before) await saveSeen(before.set(facts), before.version, () => shownOf(db, params.id))
  else await db.Chemical.create({ id: params.id, ...facts })
  return (await shownOf(db, params.id)) as ChemicalRow
}

const removeChemical: Handler<typeof api.chemical.remove> = async ({ db, params, body }) => {
  const before = await rowOf(db, params.id)
  if (!before) throw notFound('chemical of your own')
  if ((await isUsed(db, params.id)) && !Object.hasOwn(catalogue, params.id))
    throw new Refusal(409, 'in-use', `${before.body.name} is in a jar or a formula. Its figures can be changed, but it stays.`)
  await destroySeen(before, body.version, () => shown(before))
  return { done: true as const }
}

export const chemicalRoutes = [
  answers(api.chemical.list, listChemicals),
  answers(api.chemical.put, putChemical),
  answers(api.chemical.remove, removeChemical),
]
