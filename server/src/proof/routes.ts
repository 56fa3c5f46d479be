import {
  comparedReading,
  capacityFromTests,
  correctedTemperature,
  guideOf,
  judge,
  testsFor,
  type Judgement,
  type Reference,
  type TestedLife,
  type TestMark,
} from '@selvrin/core'
import { api, type Bottle, type DueRuleRow, type Proof } from '@selvrin/core/contract'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { bottleById, bottlePage } from '../bottle/rows'
import { pageOf } from '../http/page'
import { notFound, Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { rollRow } from '../run/rows'
import { afterFailure } from './consequences'
import { freshJudgement, testMarkOf } from './judged'
import { readPicture } from './picture'
import { takeProofBack } from './takeBack'
import { contextOf, instrumentRow, proofRow, proofsOf } from './rows'

const ruleRows = `select id, version, family, kind, at_mixing as "atMixing", every_days as "everyDays", every_share as "everyShare", before_critical as "beforeCritical", active from due_rule`

/** Tests of bottles and films, when they fall due, and what they say of a formula's capacity. */
export function proofRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.proof.list, async ({ query }) =>
    pageOf(await proofsOf(db, { bottleId: query.bottleId ?? null, limit: query.limit + 1, after: query.after ?? null }), query.limit),
  )

  route(router, house, api.proof.takeBack, ({ params, body, who, now, tx }) =>
    takeProofBack(db, { id: params.id, ...body, by: who.id, now }, tx),
  )

  route(router, house, api.proof.context, async ({ params, now }) => {
    const bottle = await bottleById(db, params.id, now)
    return { ...(await contextOf(db, bottle)), proofs: await proofsOf(db, { bottleId: bottle.id, limit: 100, after: null }) }
  })

  route(
    router,
    house,
    api.proof.write,
    async ({ body, who, now, tx, before }) => {
      const guide = guideOf(body.kind)
      const celsius =
        body.thermometerId && body.reading.celsius !== undefined
          ? correctedTemperature(body.reading.celsius, (await instrumentRow(db, body.thermometerId, tx)).points)
          : body.reading.celsius
      const reading = { ...body.reading, ...(celsius === undefined ? {} : { celsius }) }
      const kept = before as Awaited<ReturnType<typeof readPicture>> | null
      const picture = body.picture && kept ? { ...kept, name: body.picture.name, marks: body.picture.marks } : null
      let bottle: Bottle | null = null
      let judgement: Judgement
      let referenceFrom: Reference['from'] | null = null
      if (body.bottleId) {
        await lockBottles(db, [body.bottleId], tx)
        bottle = await bottleById(db, body.bottleId, now, tx)
        if (!testsFor(bottle.family).some((one) => one.kind === body.kind))
          throw new Refusal(422, 'wrong-test', `${guide.name} is no test of ${bottle.label} ${bottle.name}.`)
        if (body.fresh && bottle.batchId === null)
          throw new Refusal(
            422,
            'no-batch',
            `${bottle.label} was not mixed here as a batch, so it has no fresh reading of its own to keep.`,
          )
        const context = await contextOf(db, bottle, tx)
        referenceFrom = body.fresh ? null : (context.references[body.kind]?.from ?? null)
        // the fresh reading is what the others are held against; it is held against nothing
        judgement =
          body.fresh && reading.value !== undefined
            ? freshJudgement(body.kind, reading)
            : judge(body.kind, reading, { ...context, reference: context.references[body.kind] ?? null })
      } else {
        await rollRow(db, body.rollId ?? '', tx)
        if (guide.of !== 'film') throw new Refusal(422, 'wrong-test', `${guide.name} is no test of a film.`)
        judgement = judge(body.kind, reading, { reference: null })
      }
      await db.run(
        `insert into proof (id, kind, at, by_person, bottle_id, batch_id, roll_id, fresh, reading, judgement, rolls_per_l, note) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
        [
          body.id,
          body.kind,
          new Date(now),
          who.id,
          body.bottleId ?? null,
          bottle?.batchId ?? null,
          body.rollId ?? null,
          body.fresh,
          JSON.stringify(reading),
          JSON.stringify(judgement),
          bottle?.state.rollsPerL ?? null,
          body.note,
        ],
        tx,
      )
      if (picture)
        await db.run(
          'insert into proof_picture (proof_id, name, type, bytes, marks) values ($1, $2, $3, $4, $5)',
          [body.id, picture.name, picture.type, picture.bytes, JSON.stringify(picture.marks)],
          tx,
        )
      if (bottle) {
        const test = testMarkOf(body.kind, reading, judgement, referenceFrom, now)
        await writeEntry(
          db,
          { id: uuid(), bottleId: bottle.id, kind: 'test', at: now, by: who.id, ml: 0, test, proofId: body.id, note: judgement.reason },
          tx,
        )
      }
      const suspects =
        judgement.verdict === 'failed'
          ? await afterFailure(db, { proofId: body.id, guide, bottle, rollId: body.rollId ?? null, now }, tx)
          : []
      return { proof: await proofRow(db, body.id, tx), suspects }
    },
    {
      // taken apart and made anew before anything is locked
      before: async ({ body, upload }) => {
        if ((body.picture === undefined) !== (upload === null))
          throw new Refusal(400, 'not-a-form', 'A picture comes with what was marked on it, and the other way round.')
        return upload ? readPicture(upload.bytes) : null
      },
    },
  )

  route(router, house, api.proof.overrule, async ({ body, who, now, tx }) => {
    await lockBottles(db, [body.bottleId], tx)
    const bottle = await bottleById(db, body.bottleId, now, tx)
    const standing = bottle.state.tests.find((one) => one.kind === body.kind)
    if (!standing?.failed) throw new Refusal(409, 'not-failed', `${bottle.label} has no failed test of that kind.`)
    const test: TestMark = { ...standing.failed, reading: null, fixS: null, againAt: null, overruled: body.reason }
    await writeEntry(
      db,
      {
        id: body.entryId,
        bottleId: bottle.id,
        kind: 'test',
        at: now,
        by: who.id,
        ml: 0,
        test,
        note: `${guideOf(body.kind).name} overruled: ${body.reason}`,
      },
      tx,
    )
    return bottlePage(db, bottle.id, now, tx)
  })

  route(router, house, api.proof.picture, async ({ params }) => {
    const picture = await db.one<{ name: string; type: string; bytes: Buffer }>(
      'select name, type, bytes from proof_picture where proof_id = $1',
      [params.id],
    )
    if (!picture) throw notFound('picture')
    return picture
  })

  route(router, house, api.proof.rules, async ({ query }) =>
    pageOf(
      await db.rows<DueRuleRow>(`${ruleRows} where ($2::uuid is null or id > $2) order by id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.proof.addRule, async ({ body, tx }) => {
    if (!testsFor(body.family).some((guide) => guide.kind === body.kind))
      throw new Refusal(422, 'wrong-test', `${guideOf(body.kind).name} is no test of that family of baths.`, { field: 'kind' })
    await db.run(
      'insert into due_rule (id, family, kind, at_mixing, every_days, every_share, before_critical, active) values ($1, $2, $3, $4, $5, $6, $7, $8)',
      [body.id, body.family, body.kind, body.atMixing, body.everyDays, body.everyShare, body.beforeCritical, body.active],
      tx,
    )
    return (await db.one<DueRuleRow>(`${ruleRows} where id = $1`, [body.id], tx)) as DueRuleRow
  })

  route(router, house, api.proof.changeRule, async ({ params, body, tx }) => {
    const changed = await db.rows(
      `update due_rule set at_mixing = $3, every_days = $4, every_share = $5, before_critical = $6, active = $7, version = version + 1 where id = $1 and version = $2 returning id`,
      [params.id, body.version, body.atMixing, body.everyDays, body.everyShare, body.beforeCritical, body.active],
      tx,
    )
    const rule = await db.one<DueRuleRow>(`${ruleRows} where id = $1`, [params.id], tx)
    if (!rule) throw notFound('rule')
    if (changed.length === 0) throw stale(rule)
    return rule
  })

  route(router, house, api.proof.capacity, async ({ params }) => {
    const marks = await db.rows<
      Pick<Proof, 'kind' | 'reading' | 'judgement'> & { bottleId: string; rollsPerL: number; fromBatch: boolean }
    >(
      `select f.bottle_id as "bottleId", f.rolls_per_l as "rollsPerL", f.kind, f.reading, f.judgement,
         exists (select from standing_proof s where s.fresh and s.kind = f.kind and s.batch_id = f.batch_id) as "fromBatch" from standing_proof f join bottle b on b.id = f.bottle_id join formula_version v on v.id = b.formula_version_id
       where v.formula_id = $1 and f.rolls_per_l is not null and f.kind in ('clearing-time', 'iodide-drop', 'silver-paper') order by f.at`,
      [params.id],
    )
    const lives = new Map<string, TestedLife>()
    for (const mark of marks) {
      const life = lives.get(mark.bottleId) ?? { clearing: [], failedAtRollsPerL: null }
      const seconds = mark.kind === 'clearing-time' ? comparedReading(mark.reading.value, mark.judgement) : null
      if (mark.judgement.verdict === 'failed' && mark.rollsPerL > 0) life.failedAtRollsPerL ??= mark.rollsPerL
      const fresh = mark.fromBatch ? mark.judgement.reference : null
      // every life begins with the fresh reading of its batch, wherever that was read
      if (mark.kind === 'clearing-time' && fresh !== null && fresh > 0 && !life.clearing.some((one) => one.rollsPerLitre === 0))
        life.clearing.unshift({ rollsPerLitre: 0, seconds: fresh })
      if (seconds !== null && seconds > 0) life.clearing.push({ rollsPerLitre: mark.rollsPerL, seconds })
      lives.set(mark.bottleId, life)
    }
    return { estimate: capacityFromTests([...lives.values()]), bottles: lives.size }
  })
}
