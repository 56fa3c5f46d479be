import {
  correctedTemperature,
  guideOf,
  judge,
  testsFor,
  type Guide,
  type Judgement,
  type Reading,
  type Reference,
  type TestKind,
} from '@selvrin/core'
import type { api, Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { lockBottles, writeEntry } from '../bottle/ledger'
import { bottleById, bottlePage } from '../bottle/rows'
import { afterFailure } from '../film/consequences'
import { zoneOf } from '../darkroom/zone'
import { rollRow } from '../film/rows'
import { readPicture } from '../http/picture'
import { Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import type { Database } from '../table/database'
import { freshJudgement, testMarkOf } from './judged'
import { contextOf, instrumentRow, proofRow } from './rows'

type Asked = Call<typeof api.proof.write>
type Kept = Awaited<ReturnType<typeof readPicture>>

/** The picture that came along, taken apart and made anew before anything is locked. */
export async function pictureOf({ body, upload }: Asked): Promise<Kept | null> {
  if ((body.picture === undefined) !== (upload === null))
    throw new Refusal(400, 'not-a-form', 'A picture comes with what was marked on it, and the other way round.')
  return upload ? readPicture(upload.bytes) : null
}

/** A reading with its temperature as the thermometer named really means it. */
async function readingOf({ db, body }: Asked): Promise<Asked['body']['reading']> {
  const { celsius } = body.reading
  if (!body.thermometerId || celsius === undefined) return body.reading
  return { ...body.reading, celsius: correctedTemperature(celsius, (await instrumentRow(db, body.thermometerId)).points) }
}

/** What a reading of a bottle's bath comes to; a fresh one is what the others are held against, and is held against nothing. */
export async function judgedOf(
  db: Database,
  bottle: Bottle,
  { kind, reading, fresh }: { kind: TestKind; reading: Reading; fresh: boolean },
): Promise<{ judgement: Judgement; from: Reference['from'] | null }> {
  const context = await contextOf(db, bottle)
  const reference = context.references[kind] ?? null
  if (fresh && reading.value !== undefined) return { judgement: freshJudgement(kind, reading), from: null }
  return { judgement: judge(kind, reading, { ...context, reference }), from: fresh ? null : (reference?.from ?? null) }
}

async function judgedBath({ db, body, now }: Asked, bottleId: string, guide: Guide, reading: Reading) {
  await lockBottles(db, [bottleId])
  const bottle = await bottleById(db, bottleId, now)
  if (!testsFor(bottle.family).some((one) => one.kind === body.kind))
    throw new Refusal(422, 'wrong-test', `${guide.name} is no test of ${bottle.label} ${bottle.name}.`)
  if (body.fresh && bottle.batchId === null)
    throw new Refusal(422, 'no-batch', `${bottle.label} was not mixed here as a batch, so it has no fresh reading of its own to keep.`)
  return { bottle, ...(await judgedOf(db, bottle, { kind: body.kind, reading, fresh: body.fresh })) }
}

async function judgedFilm({ db, body }: Asked, guide: Guide, reading: Reading) {
  await rollRow(db, body.rollId ?? '')
  if (guide.of !== 'film') throw new Refusal(422, 'wrong-test', `${guide.name} is no test of a film.`)
  return { bottle: null, judgement: judge(body.kind, reading, { reference: null }), from: null }
}

/** A test is written down, judged, and what follows from it told. */
export const writeTest: Handler<typeof api.proof.write> = async (call) => {
  const { db, body, who, now } = call
  const { id, kind, fresh, note, bottleId = null, rollId = null } = body
  const guide = guideOf(kind)
  const reading = await readingOf(call)
  const { bottle, judgement, from } = bottleId ? await judgedBath(call, bottleId, guide, reading) : await judgedFilm(call, guide, reading)
  const facts = { id, kind, fresh, note, bottleId, rollId, reading, judgement, batchId: bottle?.batchId ?? null }
  await db.Proof.create({ ...facts, at: now, byPerson: who.id, rollsPerL: bottle?.state.rollsPerL ?? null })
  const kept = call.before as Kept | null
  if (body.picture && kept)
    await db.ProofPicture.create({ ...kept, proofId: id, name: body.picture.name, marks: body.picture.marks }, { returning: false })
  if (bottle) {
    const test = testMarkOf(kind, reading, judgement, from, { at: now, zone: await zoneOf(db) })
    const line = { id: uuid(), bottleId: bottle.id, kind: 'test' as const, at: now, by: who.id, ml: 0 }
    await writeEntry(db, { ...line, test, proofId: id, note: judgement.reason })
  }
  const suspects = judgement.verdict === 'failed' ? await afterFailure(db, { proofId: id, guide, bottle, rollId, now }) : []
  return { proof: await proofRow(db, id), suspects }
}

/** A failed test is overruled, by a line that says why. */
export const overrule: Handler<typeof api.proof.overrule> = async ({ db, body, who, now }) => {
  await lockBottles(db, [body.bottleId])
  const bottle = await bottleById(db, body.bottleId, now)
  const standing = bottle.state.tests.find((one) => one.kind === body.kind)
  if (!standing?.failed) throw new Refusal(409, 'not-failed', `${bottle.label} has no failed test of that kind.`)
  const test = { ...standing.failed, reading: null, fixS: null, againAt: null, overruled: body.reason }
  const line = { id: body.entryId, bottleId: bottle.id, kind: 'test' as const, at: now, by: who.id, ml: 0 }
  await writeEntry(db, { ...line, test, note: `${guideOf(body.kind).name} overruled: ${body.reason}` })
  return bottlePage(db, bottle.id, now)
}
