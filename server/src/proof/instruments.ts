import { correctedTemperature, requirePoint, requireStrip, safeMinutes, type ThermometerPoint } from '@selvrin/core'
import { api, type Instrument } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { pageOf } from '../http/page'
import { Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { instrumentRow, instrumentsOf } from './rows'

/** Thermometers, lamps, and processes that are followed with control strips. */
export function instrumentRoutes(router: Router, house: House): void {
  const { db } = house

  async function writeProof(
    of: Instrument,
    proof: { id: string; kind: string; reading: object; reason: string; by: string; now: number; batchId?: string | null; good?: boolean },
    tx: Transaction | undefined,
  ) {
    await db.run(
      `insert into proof (id, kind, at, by_person, batch_id, instrument_id, good, reading, judgement) values ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
      [
        proof.id,
        proof.kind,
        new Date(proof.now),
        proof.by,
        proof.batchId ?? null,
        of.id,
        proof.good ?? false,
        JSON.stringify(proof.reading),
        JSON.stringify({
          verdict: 'keep',
          rule: proof.kind,
          reason: proof.reason,
          ratio: null,
          reference: null,
          restsOn: 'what was read',
          corrected: false,
          fixS: null,
          retire: false,
          againDays: null,
        }),
      ],
      tx,
    )
  }
  async function locked(id: string, kind: Instrument['kind'], version: number | null, tx: Transaction | undefined): Promise<Instrument> {
    await db.rows('select id from instrument where id = $1 for update', [id], tx)
    const instrument = await instrumentRow(db, id, tx)
    if (instrument.kind !== kind) throw new Refusal(422, 'wrong-kind', `${instrument.name} is no ${kind}.`)
    if (version !== null && instrument.version !== version) throw stale(instrument)
    return instrument
  }

  route(router, house, api.proof.instruments, async ({ query }) =>
    pageOf(await instrumentsOf(db, { limit: query.limit + 1, after: query.after ?? null }), query.limit),
  )

  route(router, house, api.proof.addInstrument, async ({ body, tx }) => {
    await db.run(
      'insert into instrument (id, kind, name, device_id) values ($1, $2, $3, $4)',
      [body.id, body.kind, body.name, body.kind === 'thermometer' ? body.deviceId : null],
      tx,
    )
    return instrumentRow(db, body.id, tx)
  })

  route(router, house, api.proof.thermometer, async ({ params, body, who, now, tx }) => {
    const instrument = await locked(params.id, 'thermometer', body.version, tx)
    const read = instrument.deviceId
      ? body.points.map((point) => ({ ...point, readC: uncorrected(point.readC, instrument.points) }))
      : body.points
    const points = read.sort((a, b) => a.readC - b.readC)
    points.forEach(requirePoint)
    if (points.some((point, i) => i > 0 && point.readC - (points[i - 1]?.readC ?? 0) < 0.5))
      throw new Refusal(422, 'same-point', 'Two of the readings are the same: compare at temperatures that lie apart.')
    await db.run(
      'update instrument set points = $2, tested_at = $3, version = version + 1 where id = $1',
      [instrument.id, JSON.stringify(points), new Date(now)],
      tx,
    )
    // whoever reads it at the bench looks it up again
    if (instrument.deviceId) await db.run('update device set version = version + 1 where id = $1', [instrument.deviceId], tx)
    await writeProof(
      instrument,
      {
        id: body.proofId,
        kind: 'thermometer-points',
        reading: {},
        reason: points.map((point) => `${point.readC.toFixed(1)} °C is ${point.trueC.toFixed(1)} °C`).join(', '),
        by: who.id,
        now,
      },
      tx,
    )
    return instrumentRow(db, instrument.id, tx)
  })

  route(router, house, api.proof.lamp, async ({ params, body, who, now, tx }) => {
    const instrument = await locked(params.id, 'lamp', body.version, tx)
    const safe = safeMinutes(body.minutes)
    await db.run(
      'update instrument set safe_minutes = $2, tested_at = $3, version = version + 1 where id = $1',
      [instrument.id, safe, new Date(now)],
      tx,
    )
    const shows = body.minutes === null ? 'No coin shows after 8 minutes' : `The coin shows from ${body.minutes} min on`
    await writeProof(
      instrument,
      { id: body.proofId, kind: 'safelight-coin', reading: {}, reason: `${shows}: safe for ${safe} min.`, by: who.id, now },
      tx,
    )
    return instrumentRow(db, instrument.id, tx)
  })

  route(router, house, api.proof.strip, async ({ params, body, who, now, tx }) => {
    requireStrip(body.strip)
    const instrument = await locked(params.id, 'process', null, tx)
    if (body.reference)
      await db.run(
        'update instrument set reference = $2, version = version + 1 where id = $1',
        [instrument.id, JSON.stringify(body.strip)],
        tx,
      )
    else {
      await writeProof(
        instrument,
        {
          id: body.proofId,
          kind: 'control-strip',
          reading: body.strip,
          reason: 'See the control chart.',
          by: who.id,
          now,
          batchId: body.batchId,
          good: body.good,
        },
        tx,
      )
      await db.run('update instrument set tested_at = $2, version = version + 1 where id = $1', [instrument.id, new Date(now)], tx)
    }
    return instrumentRow(db, instrument.id, tx)
  })

  route(router, house, api.proof.limits, async ({ params, body, tx }) => {
    const instrument = await locked(params.id, 'process', body.version, tx)
    if (Object.values(body.limits).some((limit) => limit.control <= limit.action))
      throw new Refusal(422, 'limits', 'The control limit of a measure lies outside its action limit.')
    await db.run('update instrument set limits = $2, version = version + 1 where id = $1', [instrument.id, JSON.stringify(body.limits)], tx)
    return instrumentRow(db, instrument.id, tx)
  })
}

/** What a thermometer at the bench really read, before the offsets that are known already: its readings come corrected. */
function uncorrected(shownC: number, points: ThermometerPoint[]): number {
  let readC = shownC
  for (let i = 0; i < 8; i++) readC -= correctedTemperature(readC, points) - shownC
  return readC
}
