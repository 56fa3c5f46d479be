import { decideComparison, requireLimits, requireStrip, safeMinutes } from '@selvrin/core'
import { api, type Instrument } from '@selvrin/core/contract'
import { asSeen, saveNext } from '../http/changing'
import { pageOf } from '../http/page'
import { Refusal, stale } from '../house/refusal'
import { answers, type Call, type Handler } from '../http/route'
import type { Endpoint } from '@selvrin/core/contract'
import { changeAll } from '../table/all'
import type { Database, Row } from '../table/database'
import { instrumentRows } from './queries'
import { instrumentRow } from './rows'

interface Seen {
  id: string
  kind: string
  reading: object
  reason: string
  batchId?: string | null
  good?: boolean
}

/** What was read of an instrument, beside the tests of baths. */
const writeProof = ({ db, who, now }: Call<Endpoint>, instrumentId: string, { reason, ...seen }: Seen): Promise<unknown> =>
  db.Proof.create({
    batchId: null,
    good: false,
    ...seen,
    instrumentId,
    at: now,
    byPerson: who.id,
    judgement: {
      verdict: 'keep',
      rule: seen.kind,
      reason,
      ratio: null,
      reference: null,
      restsOn: 'what was read',
      corrected: false,
      fixS: null,
      retire: false,
      againDays: null,
    },
  })

async function locked(db: Database, id: string, kind: Instrument['kind'], version: number | null): Promise<Instrument> {
  await db.Instrument.findByPk(id, { attributes: ['id'], lock: true })
  const instrument = await instrumentRow(db, id)
  if (instrument.kind !== kind) throw new Refusal(422, 'wrong-kind', `${instrument.name} is no ${kind}.`)
  if (version !== null && instrument.version !== version) throw stale(instrument)
  return instrument
}

const keep = (db: Database, { id, version }: Instrument, facts: Partial<Row<'Instrument'>>): Promise<void> =>
  saveNext(asSeen(db.Instrument, { id, version }).set(facts))

const add: Handler<typeof api.proof.addInstrument> = async ({ db, body: { id, kind, name, deviceId } }) => {
  await db.Instrument.create({ id, kind, name, deviceId: kind === 'thermometer' ? deviceId : null })
  return instrumentRow(db, id)
}

const compare: Handler<typeof api.proof.thermometer> = async (call) => {
  const { db, params, body, now } = call
  const instrument = await locked(db, params.id, 'thermometer', body.version)
  const { points, reason } = decideComparison(body.points, instrument.deviceId ? instrument.points : [])
  await keep(db, instrument, { points, testedAt: now })
  // whoever reads it at the bench looks it up again
  if (instrument.deviceId) await changeAll(db.Device, {}, { id: instrument.deviceId })
  await writeProof(call, instrument.id, { id: body.proofId, kind: 'thermometer-points', reading: {}, reason })
  return instrumentRow(db, instrument.id)
}

const tryLamp: Handler<typeof api.proof.lamp> = async (call) => {
  const { db, params, body, now } = call
  const instrument = await locked(db, params.id, 'lamp', body.version)
  const safe = safeMinutes(body.minutes)
  await keep(db, instrument, { safeMinutes: safe, testedAt: now })
  const shows = body.minutes === null ? 'No coin shows after 8 minutes' : `The coin shows from ${body.minutes} min on`
  await writeProof(call, instrument.id, {
    id: body.proofId,
    kind: 'safelight-coin',
    reading: {},
    reason: `${shows}: safe for ${safe} min.`,
  })
  return instrumentRow(db, instrument.id)
}

const readStrip: Handler<typeof api.proof.strip> = async (call) => {
  const { db, params, body, now } = call
  const { proofId, strip, batchId, good } = body
  requireStrip(strip)
  const instrument = await locked(db, params.id, 'process', null)
  if (body.reference) await keep(db, instrument, { reference: strip })
  else {
    const reason = 'See the control chart.'
    await writeProof(call, instrument.id, { id: proofId, kind: 'control-strip', reading: strip, reason, batchId, good })
    await keep(db, instrument, { testedAt: now })
  }
  return instrumentRow(db, instrument.id)
}

const setLimits: Handler<typeof api.proof.limits> = async ({ db, params, body: { version, limits } }) => {
  const instrument = await locked(db, params.id, 'process', version)
  requireLimits(limits)
  await keep(db, instrument, { limits })
  return instrumentRow(db, instrument.id)
}

const list: Handler<typeof api.proof.instruments> = async ({ db, query: { limit, after }, who }) => {
  const { rows, after: next } = pageOf(await instrumentRows(db, { ids: null, limit: limit + 1, after: after ?? null }), limit)
  // what a member measures with is put right as well; the rest is the technicians’
  return { rows: rows.filter((row) => who.role === 'technician' || row.kind === 'thermometer'), after: next }
}

/** Thermometers, lamps, and processes that are followed with control strips. */
export const instrumentRoutes = [
  answers(api.proof.instruments, list),
  answers(api.proof.addInstrument, add),
  answers(api.proof.thermometer, compare),
  answers(api.proof.lamp, tryLamp),
  answers(api.proof.strip, readStrip),
  answers(api.proof.limits, setLimits),
]
