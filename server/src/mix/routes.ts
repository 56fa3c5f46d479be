import {
  askAbout,
  checkFormula,
  isTakenBackable,
  mixState,
  mostStretch,
  scaleFormula,
  whatCounts,
  type MixEvent,
  type MixLine,
} from '@selvrin/core'
import { api, type MixSummary } from '@selvrin/core/contract'
import type { Request, Router } from 'express'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { putOnShelf } from '../bottle/putOnShelf'
import { catalogueOf } from '../chemical/chemistry'
import { expectedPh, mixedFormula } from '../formula/batches'
import { requireReason } from '../formula/overrule'
import { formulaRow } from '../formula/rows'
import { usedFormula } from '../formula/used'
import { pageOf } from '../http/page'
import { Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { isPassword } from '../session/password'
import { signInLimiter } from '../session/limit'
import { eventRows, mixRow, mixSummaries, openMix, stateOf } from './rows'
import { jarEvent, requireStock } from './meeting'
import { takeFromShelf } from './taking'

/** Bottles may take this much more than the final volume: the meniscus is not a ruler. */
const fillTolerance = 1.02

interface Checker {
  id: string
  name: string
}

type Weigh = Extract<MixEvent, { kind: 'weigh' }>

function requireUndoable(events: MixEvent[], of: string): void {
  const event = whatCounts(events).find((one) => one.id === of)
  if (!event || !isTakenBackable(event))
    throw new Refusal(409, 'not-there', 'That was taken back already, or cannot be. The page shows where the mix stands.')
}

function requireCorrects(events: MixEvent[], id: string, step: number): Weigh {
  const event = whatCounts(events).find((one) => one.id === id)
  if (event?.kind !== 'weigh' || event.step !== step)
    throw new Refusal(409, 'not-there', 'That weight was put right or taken back already. The page shows where the mix stands.')
  return event
}

export function mixRoutes(router: Router, house: House): void {
  const { db } = house
  const limiter = signInLimiter(house)

  async function writeEvents(mixId: string, fresh: MixEvent[], by: string, now: number, tx: Transaction | undefined): Promise<void> {
    if (fresh.length === 0) return
    await db.run(
      `insert into mix_event (id, mix_id, event, by_person, at) select (e ->> 'id')::uuid, $2, e, $3, $4 from jsonb_array_elements($1::jsonb) with ordinality as t(e, n) order by n`,
      [JSON.stringify(fresh), mixId, by, new Date(now)],
      tx,
    )
  }

  /** An odd weight is believed only when somebody says so. */
  async function requireLikely(line: MixLine, event: Weigh, replaced: number, tx: Transaction | undefined): Promise<void> {
    const jar = event.jarId
      ? await db.one<{ grams: number }>('select coalesce(sum(grams), 0) as grams from jar_entry where jar_id = $1', [event.jarId], tx)
      : null
    const question = askAbout(line, event.amount, jar?.grams ?? null, line.put - replaced)
    if (question) throw new Refusal(422, 'odd-amount', question, { field: 'amount' })
  }

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
    if (formula.body.combine)
      throw new Refusal(422, 'of-parts', `${formula.body.name} is poured together from its parts: do it on its own page in the Formulary.`)
    if (formula.body.additions.length === 0)
      throw new Refusal(422, 'bought', `${formula.body.name} is bought ready made: bring its bottle onto the shelf instead.`)
    const findings = checkFormula(scaleFormula(usedFormula(formula.id, formula.body), body.finalMl), await catalogueOf(db, tx))
    const block = findings.find((finding) => finding.severity === 'error' && finding.rule.startsWith('never-'))
    if (block) throw new Refusal(422, 'never-meets', `This is not mixed here: ${block.message} Change the formula.`)
    if (findings.some((finding) => finding.rule === 'mix-13' && finding.severity === 'warning') && body.note === '')
      throw new Refusal(
        422,
        'part-of-pack',
        'A part of a pack is no fair sample of it. Mix the whole pack, or say why a part is taken: it is noted on the batch.',
        { field: 'note' },
      )
    const grave = findings.filter((finding) => finding.severity === 'error').map((finding) => finding.message)
    const overruled = requireReason(grave, body.overrule, 'mixed')
    await db.run(
      `insert into mix (id, formula_version_id, final_ml, started_by, started_at, note, overruled, second_check) select $1, $2, $3, $4, $5, $6, $7, second_check from darkroom`,
      [body.id, formula.versionId, body.finalMl, who.id, new Date(now), body.note, overruled],
      tx,
    )
    return mixRow(db, body.id, tx)
  })

  route(router, house, api.mix.record, async ({ params, body, who, now, tx }) => {
    const mix = await openMix(db, params.id, tx)
    const kept = new Set(mix.events.map((event) => event.id))
    const catalogue = await catalogueOf(db, tx)
    const fresh: MixEvent[] = []
    const events: MixEvent[] = [...mix.events]
    const keep = (event: MixEvent) => {
      events.push(event)
      fresh.push(event)
    }
    for (const event of body.events.filter((one) => !kept.has(one.id))) {
      const state = mixState(usedFormula(mix.formulaId, mix.formula.body), mix.finalMl, events, mix.secondCheck, catalogue)
      const line = 'step' in event ? state.lines[event.step] : undefined
      if (event.kind === 'checked') throw new Refusal(422, 'check-apart', 'A second person’s check is written by that person.')
      if ('step' in event && !line) throw new Refusal(422, 'no-step', 'This formula has no such step. Load the page again.')
      if (event.kind === 'undo') requireUndoable(events, event.of)
      if (event.kind === 'water-added' && state.at !== 'more-water')
        throw new Refusal(409, 'no-water', 'No more water is wanted now. The page shows where the mix stands.', { current: mix })
      if (event.kind === 'rescale' && event.finalMl > mix.finalMl * mostStretch)
        throw new Refusal(
          422,
          'too-large',
          `A batch is not stretched to more than ${mostStretch} times what was begun. Begin again, or put the weight right.`,
        )
      const corrects = event.kind === 'weigh' && event.corrects !== undefined ? requireCorrects(events, event.corrects, event.step) : null
      if ('step' in event && event.step !== state.at && !corrects)
        throw new Refusal(409, 'out-of-step', 'Someone else is mixing this too and is at another step. The page shows where it stands.', {
          current: mix,
        })
      if (event.kind === 'dissolved' && line?.state !== 'in-band')
        throw new Refusal(409, 'out-of-band', 'The weight is not in its band yet. Weigh on, or take a way out of too much.')
      if (event.kind === 'dissolved' && line?.needsCheck)
        throw new Refusal(409, 'needs-check', 'A second person looks at this weight first.')
      if (event.kind === 'jar') keep(await jarEvent(db, mix, state, event, catalogue, tx))
      else {
        if (event.kind === 'weigh' && event.jarId !== null && event.jarId !== line?.jarId)
          keep(await jarEvent(db, mix, state, { id: uuid(), step: event.step, jarId: event.jarId }, catalogue, tx))
        if (event.kind === 'weigh' && !event.sure && line) await requireLikely(line, event, corrects?.amount ?? 0, tx)
        if (event.kind === 'weigh' && event.bottleId && line) await requireStock(db, state, line, event.bottleId, catalogue, tx)
        keep(event as MixEvent)
      }
    }
    await writeEvents(mix.id, fresh, who.id, now, tx)
    return mixRow(db, mix.id, tx)
  })

  /** The second person by name and password, known before any row is locked: hashing takes its time. */
  async function checkerOf(login: string, password: string, request: Request): Promise<Checker> {
    await limiter.take(request, login)
    const person = await db.one<Checker & { password_hash: string | null }>(
      'select id, name, password_hash from person where login = $1 and active',
      [login],
    )
    if (!(await isPassword(password, person?.password_hash)) || !person)
      throw new Refusal(422, 'wrong-password', 'Name or password is wrong. Type them again.', { field: 'password' })
    await limiter.forget(request, login)
    return person
  }

  route(
    router,
    house,
    api.mix.check,
    async ({ params, body, who, now, tx, before }) => {
      const mix = await openMix(db, params.id, tx)
      const line = stateOf(mix, await catalogueOf(db, tx)).lines[body.step]
      if (!line?.needsCheck) throw new Refusal(409, 'no-check', 'There is nothing to look at in this step now. Load the page again.')
      const checker = (before as Checker | null) ?? (await db.one<Checker>('select id, name from person where id = $1', [who.id], tx))
      const weighers = (await eventRows(db, mix.id, tx)).filter(({ event }) => event.kind === 'weigh' && event.step === body.step)
      if (!checker || weighers.some((row) => row.byId === checker.id))
        throw new Refusal(422, 'same-person', 'Whoever weighed it cannot be the second pair of eyes. Ask someone else.')
      const event: MixEvent = { id: body.eventId, kind: 'checked', step: body.step, by: checker.id, name: checker.name }
      await writeEvents(mix.id, [event], checker.id, now, tx)
      return mixRow(db, mix.id, tx)
    },
    {
      before: ({ body, request }) =>
        body.login === undefined ? Promise.resolve(null) : checkerOf(body.login, body.password ?? '', request),
    },
  )

  route(router, house, api.mix.finish, async ({ params, body, who, now, tx }) => {
    const mix = await openMix(db, params.id, tx)
    const state = stateOf(mix, await catalogueOf(db, tx))
    if (state.at !== 'bottle') throw new Refusal(409, 'not-mixed', 'Not everything is in and topped up yet.')
    const bottled = body.bottles.reduce((sum, bottle) => sum + bottle.ml, 0)
    if (bottled > state.formula.finalMl * fillTolerance)
      throw new Refusal(
        422,
        'too-much',
        `The bottles hold ${bottled.toFixed(0)} ml together; ${state.formula.finalMl.toFixed(0)} ml were mixed. Fill less.`,
        { field: 'bottles' },
      )
    const catalogue = await catalogueOf(db, tx)
    const expected = state.ph === null ? null : expectedPh(mixedFormula(mix, catalogue), state.phCelsius, catalogue)
    await db.run(
      `insert into batch (id, mix_id, formula_version_id, made_at, made_by, ph, note, ph_celsius, ph_expected, ph_uncertainty)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
      [
        body.batchId,
        mix.id,
        mix.formula.versionId,
        new Date(now),
        who.id,
        state.ph,
        [mix.note, mix.overruled && `Mixed all the same: ${mix.overruled}`, body.note].filter(Boolean).join(' · '),
        state.phCelsius,
        expected?.ph ?? null,
        expected?.uncertainty ?? null,
      ],
      tx,
    )
    await takeFromShelf(db, mix, who.id, now, tx)
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

  route(router, house, api.mix.putRightPh, async ({ params, body, tx }) => {
    await db.rows('select id from mix where id = $1 for update', [params.id], tx)
    const mix = await mixRow(db, params.id, tx)
    if (mix.state !== 'done') throw new Refusal(409, 'not-mixed', 'This mix is not bottled: its pH is written where it is measured.')
    const catalogue = await catalogueOf(db, tx)
    const expected = body.ph === null ? null : expectedPh(mixedFormula(mix, catalogue), body.celsius, catalogue)
    // what was said of the old figure was said of that one
    await db.run(
      'update batch set ph = $2, ph_celsius = $3, ph_expected = $4, ph_uncertainty = $5, ph_why = null where mix_id = $1',
      [params.id, body.ph, body.ph === null ? null : body.celsius, expected?.ph ?? null, expected?.uncertainty ?? null],
      tx,
    )
    await db.run('update mix set version = version + 1 where id = $1', [params.id], tx)
    return mixRow(db, params.id, tx)
  })

  route(router, house, api.mix.abandon, async ({ params, body, who, now, tx }) => {
    const mix = await openMix(db, params.id, tx)
    await takeFromShelf(db, mix, who.id, now, tx)
    await db.run(
      `update mix set state = 'abandoned', ended_at = $2, why = $3, version = version + 1 where id = $1`,
      [mix.id, new Date(now), body.reason],
      tx,
    )
    return { done: true as const }
  })
}
