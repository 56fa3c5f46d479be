import { decideFinish, decideGivingUp, discardedOf, silverInBath, takesSilver, washAway } from '@selvrin/core'
import type { api, Run } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { writeEntries } from '../bottle/ledger'
import { takeLinesBack, wouldTakeBack as wouldBack } from '../bottle/takeBack'
import { bottleById } from '../bottle/rows'
import { writeWaste } from '../bottle/waste'
import { entriesOf } from '../bottle/write'
import { sinkOf } from '../drum/facts'
import { takeWasteBack } from '../drum/waste'
import { hangUp, takeDown } from '../film/drying'
import { asSeen, saveNext } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { changeAll, destroyAll } from '../table/all'
import { ordersBack, ordersDone } from '../order/following'
import { keepEvents, lockRun, requireState, runRow } from './rows'
import { bottlesOf } from './uses'

const over: Run['state'][] = ['done', 'abandoned']

/** Out and written down. */
export const finish: Handler<typeof api.run.finish> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, ['running'], body.version)
  const events = await keepEvents(db, run, body.events, who)
  const { lines, developedS, temperatureC } = decideFinish(run, await bottlesOf(db, run.plan, now), { ...body, events })
  await writeEntries(db, entriesOf(lines, { by: who.id, now }))
  await pouredAway(db, run, { by: who.id, now })
  await changeAll(db.Roll, { developedS, temperatureC, at: body.at }, { runId: run.id })
  await hangUp(db, run, { ...(body.hung ?? { wiping: 'none', dryer: 'air' }), at: body.at, by: who.id })
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'done', endedAt: body.at, why: body.note === '' ? null : body.note }))
  await ordersDone(db, run.id)
  return runRow(db, run.id)
}

/** The first water after the last fixing bath, where it carries too much silver for the drain. */
async function washedAway(db: Database, run: Run, { by, now }: Writing): Promise<void> {
  const bath = run.plan.steps.findLast((step) => step.bottle && takesSilver(step.bottle.family))?.bottle
  if (!bath) return
  const silver = silverInBath(run.plan, bath, (await bottleById(db, bath.id, now)).state.silverGPerL)
  const { washLimitMgPerL } = await sinkOf(db)
  const wash = silver === null ? null : washAway(run.plan, { bathGPerL: silver, limitMgPerL: washLimitMgPerL })
  if (!wash) return
  const note = `run ${run.number}: first ${wash.fills === 1 ? 'fill' : `${wash.fills} fills`} of the wash`
  const { ml, silverG } = wash
  const of = { family: bath.family, runId: run.id, source: 'wash' as const, contents: null, drum: 'sil' }
  await db.WasteEntry.create({ id: uuid(), at: now, byPerson: by, ml, silverG, note, ...of })
}

interface Writing {
  by: string
  now: number
}

/** What was made up for it and not saved is in the waste, by the line that took it from its bottle; so is its first wash. */
async function pouredAway(db: Database, run: Run, writing: Writing): Promise<void> {
  const drawn = await db.BottleEntry.findAll({
    attributes: ['id', 'step', 'bottleId', 'ml'],
    where: { runId: run.id, kind: 'dilute-out' },
    raw: true,
  })
  const poured = discardedOf(run.plan).flatMap(({ step, ...one }) => {
    const line = drawn.find((entry) => entry.step === step && entry.bottleId === one.bottleId)
    if (!line) return []
    return [
      { ...one, entryId: line.id, drawnMl: Math.min(one.ml, -line.ml), source: 'run' as const, note: `run ${run.number}: ${one.note}` },
    ]
  })
  await writeWaste(db, poured, writing)
  await washedAway(db, run, writing)
}

/** Given up: what the film really was in is written, and nothing is promised any more. */
export const abandon: Handler<typeof api.run.abandon> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, ['planned', 'running'], body.version)
  // what the device knows comes first: it says which baths the film really was in
  const events = await keepEvents(db, run, body.events, who)
  const lines = decideGivingUp(run, await bottlesOf(db, run.plan, now), { ...body, events })
  await writeEntries(db, entriesOf(lines, { by: who.id, now }))
  if (run.state === 'planned') {
    await ordersBack(db, run.id)
    await destroyAll(db.Roll, { runId: run.id })
  }
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'abandoned', endedAt: body.at, why: body.reason }))
  if (run.state === 'running') await ordersDone(db, run.id)
  return { done: true as const }
}

/** The lines of a run that were not taken back yet. */
const linesOf = (db: Database, runId: string) =>
  db.BottleEntry.findAll({
    where: { runId, kind: { [Op.ne]: 'reverse' as const }, '$reversal.id$': null },
    include: [{ association: 'reversal', attributes: [] }],
    order: ['seq'],
  })

export const wouldTakeBack: Handler<typeof api.run.wouldTakeBack> = async ({ db, params, now }) => {
  const run = requireState(await runRow(db, params.id), over)
  return { would: await wouldBack(db, await linesOf(db, run.id), { now }) }
}

/** A run that never should have been written, with its lines and films. */
export const takeBack: Handler<typeof api.run.takeBack> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, over, body.version)
  await takeLinesBack(db, await linesOf(db, run.id), { by: who.id, now, reason: `Run ${run.number} taken back: ${body.reason}` })
  await changeAll(db.Roll, { takenBack: true, hanger: null }, { runId: run.id })
  await takeDown(db, run.id, now)
  await takeWasteBack(db, { runId: run.id }, { by: who.id, now, why: body.reason })
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'taken-back', takenBackWhy: body.reason }))
  return runRow(db, run.id)
}
