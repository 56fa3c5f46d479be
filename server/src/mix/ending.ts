import { requireBottling, type Catalogue } from '@selvrin/core'
import type { api, Mix } from '@selvrin/core/contract'
import { putOnShelf } from '../bottle/putOnShelf'
import { catalogueOf } from '../chemical/chemistry'
import { expectedPh } from '../formula/batches'
import { mixedFormula, stateOf } from '../formula/mixed'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import { lockMix, mixRow, openMix } from './rows'
import { takeFromShelf } from './taking'

/** What a batch keeps of its pH, with what was expected of it. */
function phFacts(mix: Mix, ph: number | null, celsius: number | null, catalogue: Catalogue) {
  const expected = ph === null ? null : expectedPh(mixedFormula(mix, catalogue), celsius, catalogue)
  return { ph, phCelsius: ph === null ? null : celsius, phExpected: expected?.ph ?? null, phUncertainty: expected?.uncertainty ?? null }
}

/** Bottled: what was weighed leaves its jars, and a batch stands on the shelf. */
export const finish: Handler<typeof api.mix.finish> = async ({ db, params, body, who, now }) => {
  const mix = await openMix(db, params.id)
  const catalogue = await catalogueOf(db)
  const state = stateOf(mix, catalogue)
  requireBottling(state, body.bottles)
  const { batchId, bottles } = body
  const { versionId: formulaVersionId } = mix.formula
  const note = [mix.note, mix.overruled && `Mixed all the same: ${mix.overruled}`, body.note].filter(Boolean).join(' · ')
  const ph = phFacts(mix, state.ph, state.phCelsius, catalogue)
  await db.Batch.create({ id: batchId, mixId: mix.id, formulaVersionId, madeAt: now, madeBy: who.id, note, ...ph })
  await takeFromShelf(db, mix, who.id, now)
  const labels: string[] = []
  const of = await db.Mix.findByPk(mix.id, { attributes: ['kitSetId'] })
  const like = {
    kitSetId: of?.kitSetId ?? null,
    family: mix.family,
    formulaVersionId,
    batchId,
    fromBottleId: null,
    parts: null,
    by: who.id,
    now,
  }
  for (const bottle of bottles) labels.push(await putOnShelf(db, { ...bottle, ...like }))
  await changeAll(db.Mix, { state: 'done', endedAt: now }, { id: mix.id })
  return { bottleIds: bottles.map((bottle) => bottle.id), labels }
}

/** The pH of a batch, put right after it was bottled. */
export const putRightPh: Handler<typeof api.mix.putRightPh> = async ({ db, params, body }) => {
  await lockMix(db, params.id)
  const mix = await mixRow(db, params.id)
  if (mix.state !== 'done') throw new Refusal(409, 'not-mixed', 'This mix is not bottled: its pH is written where it is measured.')
  // what was said of the old figure was said of that one
  const facts = { ...phFacts(mix, body.ph, body.celsius, await catalogueOf(db)), phWhy: null }
  await db.Batch.update(facts, { where: { mixId: params.id } })
  await changeAll(db.Mix, {}, { id: params.id })
  return mixRow(db, params.id)
}

/** Given up: what was weighed is gone all the same. */
export const abandon: Handler<typeof api.mix.abandon> = async ({ db, params, body, who, now }) => {
  const mix = await openMix(db, params.id)
  await takeFromShelf(db, mix, who.id, now)
  await changeAll(db.Mix, { state: 'abandoned', endedAt: now, why: body.reason }, { id: mix.id })
  return { done: true as const }
}
