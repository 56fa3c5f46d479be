import {
  correctedTemperature,
  decideFilmTest,
  decideOverruling,
  decideTest,
  guideOf,
  testMarkOf,
  type Reading,
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

/** What a reading of a bottle's bath comes to, with all that is known of it. */
export async function judgedOf(db: Database, bottle: Bottle, asked: { kind: TestKind; reading: Reading; fresh: boolean }) {
  const context = await contextOf(db, bottle)
  return decideTest(bottle, asked, { ...context, reference: context.references[asked.kind] ?? null })
}

async function judgedBath({ db, body, now }: Asked, bottleId: string, reading: Reading) {
  await lockBottles(db, [bottleId])
  const bottle = await bottleById(db, bottleId, now)
  return { bottle, ...(await judgedOf(db, bottle, { kind: body.kind, reading, fresh: body.fresh })) }
}

async function judgedFilm({ db, body }: Asked, reading: Reading) {
  await rollRow(db, body.rollId ?? '')
  return { bottle: null, judgement: decideFilmTest(body.kind, reading), from: null }
}

/** A test is written down, judged, and what follows from it told. */
export const writeTest: Handler<typeof api.proof.write> = async (call) => {
  const { db, body, who, now } = call
  const { id, kind, fresh, note, bottleId = null, rollId = null } = body
  const guide = guideOf(kind)
  const reading = await readingOf(call)
  const { bottle, judgement, from } = bottleId ? await judgedBath(call, bottleId, reading) : await judgedFilm(call, reading)
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
  const { test, note } = decideOverruling({ label: bottle.label, tests: bottle.state.tests }, body)
  await writeEntry(db, { id: body.entryId, bottleId: bottle.id, kind: 'test', at: now, by: who.id, ml: 0, test, note })
  return bottlePage(db, bottle.id, now)
}
