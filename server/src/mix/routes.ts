import { mixState } from '@selvrin/core'
import { api, type MixSummary } from '@selvrin/core/contract'
import type { Router } from 'express'
import { usedFormula } from '../bottle/rows'
import { putOnShelf } from '../bottle/routes'
import { formulaRow } from '../formula/rows'
import { pageOf } from '../http/page'
import { Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { mixRow, mixSummaries, openMix, stateOf, takeFromJars } from './rows'

/** Bottles may take this much more than the final volume: the meniscus is not a ruler. */
const fillTolerance = 1.02

export function mixRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.mix.list, async ({ query }) =>
    pageOf(
      await db.rows<MixSummary>(`${mixSummaries} where m.state = 'open' and ($2::uuid is null or m.id < $2) order by m.id desc limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.mix.get, ({ params }) => mixRow(db, params.id))

  route(router, house, api.mix.start, async ({ body, who, now, tx }) => {
    const formula = await formulaRow(db, body.formulaId, tx)
    if (formula.body.additions.length === 0)
      throw new Refusal(422, 'bought', `${formula.body.name} is bought ready made: bring its bottle onto the shelf instead.`)
    await db.run(
      'insert into mix (id, formula_version_id, final_ml, started_by, started_at) values ($1, $2, $3, $4, $5)',
      [body.id, formula.versionId, body.finalMl, who.id, new Date(now)],
      tx,
    )
    return mixRow(db, body.id, tx)
  })

  route(router, house, api.mix.record, async ({ params, body, who, now, tx }) => {
    const mix = await openMix(db, params.id, tx)
    const kept = new Set(mix.events.map((event) => event.id))
    const fresh = body.events.filter((event) => !kept.has(event.id))
    const events = [...mix.events]
    for (const event of fresh) {
      const state = mixState(usedFormula(mix.formulaId, mix.formula.body), mix.finalMl, events)
      const line = 'step' in event ? state.lines[event.step] : undefined
      if ('step' in event && !line) throw new Refusal(422, 'no-step', 'This formula has no such step. Load the page again.')
      if ('step' in event && event.step !== state.at)
        throw new Refusal(409, 'out-of-step', 'Someone else is mixing this too and is at another step. The page shows where it stands.', {
          current: mix,
        })
      if (event.kind === 'dissolved' && line?.state !== 'in-band')
        throw new Refusal(409, 'out-of-band', 'The weight is not in its band yet. Weigh on, or take a way out of too much.')
      events.push(event)
    }
    if (fresh.length > 0)
      await db.run(
        `insert into mix_event (id, mix_id, event, by_person, at) select (e ->> 'id')::uuid, $2, e, $3, $4 from jsonb_array_elements($1::jsonb) with ordinality as t(e, n) order by n`,
        [JSON.stringify(fresh), mix.id, who.id, new Date(now)],
        tx,
      )
    return mixRow(db, mix.id, tx)
  })

  route(router, house, api.mix.finish, async ({ params, body, who, now, tx }) => {
    const mix = await openMix(db, params.id, tx)
    const state = stateOf(mix)
    if (state.at !== 'bottle') throw new Refusal(409, 'not-mixed', 'Not everything is in and topped up yet.')
    const bottled = body.bottles.reduce((sum, bottle) => sum + bottle.ml, 0)
    if (bottled > state.formula.finalMl * fillTolerance)
      throw new Refusal(
        422,
        'too-much',
        `The bottles hold ${bottled.toFixed(0)} ml together; ${state.formula.finalMl.toFixed(0)} ml were mixed. Fill less.`,
        { field: 'bottles' },
      )
    await db.run(
      'insert into batch (id, mix_id, formula_version_id, made_at, made_by, ph) values ($1, $2, $3, $4, $5, $6)',
      [body.batchId, mix.id, mix.formula.versionId, new Date(now), who.id, state.ph],
      tx,
    )
    await takeFromJars(db, mix, who.id, now, tx)
    const labels: string[] = []
    for (const bottle of body.bottles)
      labels.push(
        await putOnShelf(
          house,
          {
            ...bottle,
            family: mix.family,
            formulaVersionId: mix.formula.versionId,
            batchId: body.batchId,
            fromBottleId: null,
            parts: null,
            by: who.id,
            now,
          },
          tx,
        ),
      )
    await db.run(`update mix set state = 'done', ended_at = $2, version = version + 1 where id = $1`, [mix.id, new Date(now)], tx)
    return { bottleIds: body.bottles.map((bottle) => bottle.id), labels }
  })

  route(router, house, api.mix.abandon, async ({ params, body, who, now, tx }) => {
    const mix = await openMix(db, params.id, tx)
    await takeFromJars(db, mix, who.id, now, tx)
    await db.run(
      `update mix set state = 'abandoned', ended_at = $2, why = $3, version = version + 1 where id = $1`,
      [mix.id, new Date(now), body.reason],
      tx,
    )
    return { done: true as const }
  })
}
