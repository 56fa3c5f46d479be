import { whatCounts, type MixEvent, type MixState } from '@selvrin/core'
import type { Mix, MixSummary } from '@selvrin/core/contract'
import { catalogueOf } from '../chemical/chemistry'
import { stateOf } from '../formula/mixed'
import { versionOf } from '../formula/rows'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import type { Database, Row } from '../table/database'

/** A mix with its version and who began it. */
export const withFormula = { include: [withName(), withName('hand'), { association: 'madeOf', include: [withName()] }] }

export function summaryOf(row: Row<'Mix'>): MixSummary {
  const { formulaId, body } = row.madeOf as NonNullable<typeof row.madeOf>
  const { id, state, finalMl, startedAt, handPerson } = row
  const hand = handPerson === null ? null : { id: handPerson, name: nameOf(row.hand) }
  return { id, state, formulaId, formulaName: body.name, family: body.family, finalMl, by: nameOf(row.by), hand, startedAt }
}

interface EventRow {
  event: MixEvent
  by: string
  byId: string | null
}

export const eventRows = async (db: Database, mixId: string): Promise<EventRow[]> =>
  (await db.MixEvent.findAll({ where: { mixId }, include: [withName()], order: [['position', 'asc']] })).map((row) => ({
    event: row.event,
    by: nameOf(row.by),
    byId: row.byPerson,
  }))

const bottlesOf = async (db: Database, batchId: string): Promise<string[]> => {
  const where = { batchId, fromBottleId: null }
  const order: [string, string][] = [
    ['letter', 'asc'],
    ['number', 'asc'],
  ]
  return (await db.Bottle.findAll({ attributes: ['id'], where, order, raw: true })).map((bottle) => bottle.id)
}

export async function mixRow(db: Database, id: string): Promise<Mix> {
  const row = await db.Mix.findByPk(id, { include: [...withFormula.include, { association: 'batch' }] })
  if (!row?.madeOf) throw notFound('mix')
  const { batch } = row
  const rows = await eventRows(db, id)
  const { secondCheck, note, overruled } = row
  const mix = { ...summaryOf(row), secondCheck, note, overruled, formula: versionOf(row.madeOf), events: rows.map((one) => one.event) }
  return {
    ...mix,
    batchPh: batch ? { ph: batch.ph, celsius: batch.phCelsius } : null,
    record: recordOf(stateOf(mix, await catalogueOf(db)), rows),
    bottleIds: batch ? await bottlesOf(db, batch.id) : [],
  }
}

/** The mix with its row locked; one that is over is refused. */
export async function openMix(db: Database, id: string): Promise<Mix> {
  await lockMix(db, id)
  const mix = await mixRow(db, id)
  if (mix.state !== 'open')
    throw new Refusal(409, 'mix-over', mix.state === 'done' ? 'This mix is bottled already.' : 'This mix was given up.')
  return mix
}

export const lockMix = (db: Database, id: string): Promise<unknown> => db.Mix.findByPk(id, { attributes: ['id'], lock: true })

/** Line by line what was weighed of which lot, how far it may be off, by whom and who looked at it. */
function recordOf(state: MixState, rows: EventRow[]): Mix['record'] {
  const counts = new Set(whatCounts(rows.map((row) => row.event)).map((event) => event.id))
  return state.lines
    .filter((line) => line.put > 0)
    .map((line) => {
      const weighed = rows.filter(({ event }) => event.kind === 'weigh' && counts.has(event.id) && event.step === line.line.step)
      const last = weighed.at(-1)
      return {
        step: line.line.step,
        chemical: line.chemical.id,
        lot: line.lot,
        unit: line.unit,
        target: line.target,
        tolerance: line.tolerance,
        actual: line.put,
        by: [...new Set(weighed.map((row) => row.by))].join(', '),
        device: (last?.event.kind === 'weigh' && last.event.device) || null,
        checkedBy: line.checkedBy,
      }
    })
}
