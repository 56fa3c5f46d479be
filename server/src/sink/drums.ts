import type { sinkApi } from '@selvrin/core/contract'
import type { Drum as Family } from '@selvrin/core'
import { drumNames, meeting, requireReading, requireTare, usualGPerMl } from '@selvrin/core'
import { sinkOf } from '../drum/facts'
import { pourInto } from '../drum/pouring'
import { handOf, holdToTraining } from '../training/holding'
import { drumRow } from '../drum/rows'
import { reversePour } from '../drum/waste'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import { saveNext, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import { newLabelCode } from '../label/codes'
import type { Database, Row } from '../table/database'
import { waitingPortions } from './waiting'

async function requireTray(db: Database, trayId: string | null): Promise<void> {
  if (trayId !== null && !(await sinkOf(db)).trays.some((one) => one.id === trayId))
    throw new Refusal(422, 'tray', 'There is no such tray any more.', { field: 'trayId' })
}

/** Drums that never meet do not stand in one tray. */
async function requireNeighbours(
  db: Database,
  { id, family, trayId }: { id: string; family: Family; trayId: string | null },
): Promise<void> {
  if (trayId === null) return
  const beside = await db.Drum.findAll({ attributes: ['id', 'code', 'family'], where: { trayId, collectedAt: null }, raw: true })
  const bad = beside.find((one) => one.id !== id && meeting(one.family, family).verdict === 'block')
  if (bad)
    throw new Refusal(
      409,
      'never-meets',
      `Drum ${bad.code}, ${drumNames[bad.family]}, stands in that tray, and the two never meet: another tray.`,
    )
}

export const make: Handler<typeof sinkApi.make> = async ({ db, body, who, now }) => {
  if ((body.family === 'nob') !== (body.metal !== null))
    throw new Refusal(422, 'metal', 'A drum for noble metals is for one of them: say which.', { field: 'metal' })
  requireTare(body)
  await requireTray(db, body.trayId)
  await requireNeighbours(db, body)
  await db.Drum.create({ ...body, code: await newLabelCode(db), madeBy: who.id, madeAt: now })
  return drumRow(db, body.id, now)
}

const lineWords = (row: Row<'DrumEntry'>, over: Set<string>, bottles: Map<string, string | null>) => ({
  ...{ id: row.id, at: row.at, by: nameOf(row.by), kind: row.kind, ml: row.ml, gPerMl: row.gPerMl, silverG: row.silverG },
  ...{ source: row.source, ph: row.ph, readingKg: row.readingKg, reverses: row.reverses, over: over.has(row.id), note: row.note },
  bottleId: row.wasteId === null ? null : (bottles.get(row.wasteId) ?? null),
})

export const page: Handler<typeof sinkApi.drum> = async ({ db, params: { id }, query: { limit }, now }) => {
  const drum = await drumRow(db, id, now)
  const rows = await db.DrumEntry.findAll({ include: [withName()], where: { drumId: id }, order: [['seq', 'desc']], limit: limit + 1 })
  const back = await db.DrumEntry.findAll({ attributes: ['reverses'], where: { reverses: rows.map((row) => row.id) }, raw: true })
  const waste = await db.WasteEntry.findAll({
    attributes: ['id', 'bottleId'],
    where: { id: rows.flatMap((row) => row.wasteId ?? []) },
    raw: true,
  })
  const [over, bottles] = [new Set(back.flatMap((row) => row.reverses ?? [])), new Map(waste.map((row) => [row.id, row.bottleId]))]
  return { drum, lines: rows.slice(0, limit).map((row) => lineWords(row, over, bottles)), more: rows.length > limit }
}

async function openDrum(db: Database, id: string): Promise<Row<'Drum'>> {
  const row = await db.Drum.findByPk(id, { lock: true })
  if (!row) throw notFound('drum')
  if (row.collectedAt !== null) throw new Refusal(409, 'drum-collected', `Drum ${row.code} was collected.`)
  return row
}

export const change: Handler<typeof sinkApi.change> = async ({ db, params: { id }, body: { version, vented, trayId }, now }) => {
  const row = await openDrum(db, id)
  if (row.quarantinedAt !== null && trayId !== row.trayId)
    throw new Refusal(409, 'drum-quarantined', `Drum ${row.code} is in quarantine: it is not moved.`)
  await requireTray(db, trayId)
  await requireNeighbours(db, { id, family: row.family, trayId })
  await saveSeen(row.set({ vented, trayId }), version, () => drumRow(db, id, now))
  return drumRow(db, id, now)
}

export const label: Handler<typeof sinkApi.label> = async ({ db, params: { id }, body: { version }, now }) => {
  const row = await openDrum(db, id)
  await saveSeen(row.set({ labelledAt: row.labelledAt ?? now }), version, () => drumRow(db, id, now))
  return drumRow(db, id, now)
}

export const seal: Handler<typeof sinkApi.seal> = async ({ db, params: { id }, body: { version }, now }) => {
  const row = await openDrum(db, id)
  const { state } = await drumRow(db, id, now)
  if (state.standing !== 'open') throw new Refusal(409, `drum-${state.standing}`, `Only a drum that something was poured into is sealed.`)
  await saveSeen(row.set({ sealedAt: now }), version, () => drumRow(db, id, now))
  return drumRow(db, id, now)
}

export const quarantine: Handler<typeof sinkApi.quarantine> = async ({ db, params: { id }, body: { version, why }, now }) => {
  const row = await openDrum(db, id)
  if (row.quarantinedAt !== null) throw new Refusal(409, 'drum-quarantined', `Drum ${row.code} is in quarantine already.`)
  await saveSeen(row.set({ quarantinedAt: now, quarantinedWhy: why }), version, () => drumRow(db, id, now))
  return drumRow(db, id, now)
}

export const pour: Handler<typeof sinkApi.pour> = async ({
  db,
  params: { id },
  body: { waste, other, ph, funnelId, handId },
  who,
  now,
}) => {
  const row = await openDrum(db, id)
  const portions = await waitingPortions(db, waste, row.family)
  if (other) portions.push({ ...other, contents: null, wasteId: null })
  if (portions.length === 0) throw new Refusal(422, 'nothing', 'Say what is poured.')
  const hand = await handOf(db, handId, who)
  await holdToTraining(db, hand, ['drums'], now)
  await pourInto(db, id, portions, { ph, funnelId, by: hand.id, now })
  return drumRow(db, id, now)
}

export const weigh: Handler<typeof sinkApi.weigh> = async ({ db, params: { id }, body: { entryId, readingKg }, who, now }) => {
  const drum = await openDrum(db, id)
  requireReading(drum, readingKg)
  const { family } = drum
  await db.DrumEntry.create({
    ...{ id: entryId, drumId: id, at: now, byPerson: who.id, kind: 'weigh', ml: 0, gPerMl: usualGPerMl, silverG: 0, family },
    ...{ source: 'other', readingKg },
  })
  return drumRow(db, id, now)
}

export const takeBack: Handler<typeof sinkApi.takeBack> = async ({ db, params, body: { entryId, why }, who, now }) => {
  const row = await openDrum(db, params.id)
  if (row.quarantinedAt !== null)
    throw new Refusal(409, 'drum-quarantined', `Drum ${row.code} is in quarantine: its lines stay as they are.`)
  const entry = await db.DrumEntry.findOne({ where: { id: params.entryId, drumId: params.id } })
  if (!entry || entry.kind === 'reverse') throw notFound('line')
  if (await db.DrumEntry.findOne({ attributes: ['id'], where: { reverses: entry.id }, raw: true }))
    throw new Refusal(409, 'reversed', 'That line was taken back already.')
  await reversePour(db, entry, { id: entryId, why, by: who.id, now })
  await saveNext(row)
  return drumRow(db, params.id, now)
}
