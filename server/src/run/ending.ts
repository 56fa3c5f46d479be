import { runClock, usesAtEnd, type Plan, type RunClock } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { col, Op } from 'sequelize'
import { takeLinesBack } from '../bottle/takeBack'
import { asSeen, saveNext } from '../http/changing'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll, destroyAll } from '../table/all'
import { keepEvents, lockRun, runRow } from './rows'
import { writeUses } from './uses'

/** s the film was developed, and °C it was: the mean over the step where it was measured in it. */
function developedOf(plan: Plan, clock: RunClock): { seconds: number | null; celsius: number } {
  const time = clock.times.find((one) => plan.steps[one.step]?.kind === 'develop')
  const seconds = time?.endedAt ? (time.endedAt - time.startedAt) / 1000 : null
  const readings = time?.moved?.readings
  if (!readings || seconds === null || seconds <= 0) return { seconds, celsius: plan.temperatureC }
  const until = [...readings, { s: Math.max(seconds, readings.at(-1)?.s ?? 0), c: readings.at(-1)?.c ?? plan.temperatureC }]
  const area = until.slice(1).reduce((sum, b, i) => {
    const a = until[i] as { s: number; c: number }
    return sum + ((a.c + b.c) / 2) * (b.s - a.s)
  }, 0)
  return { seconds, celsius: area / (until.at(-1)?.s ?? seconds) }
}

/** Out and written down. */
export const finish: Handler<typeof api.run.finish> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, ['running'], body.version)
  await keepEvents(db, run.id, body.events, who.id)
  const clock = runClock(run.plan, [...run.events, ...body.events], body.at)
  if (clock.phase !== 'done')
    throw new Refusal(409, 'not-over', 'The clock has steps to go. Finish them, or give the run up with a reason.')
  await writeUses(db, run, usesAtEnd(run.plan), { by: who.id, at: now, strict: false, now })
  const { seconds: developedS, celsius: temperatureC } = developedOf(run.plan, clock)
  await changeAll(db.Roll, { developedS, temperatureC, at: body.at }, { runId: run.id })
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'done', endedAt: body.at, why: body.note === '' ? null : body.note }))
  return runRow(db, run.id)
}

/** Given up: what the film really was in is written, and nothing is promised any more. */
export const abandon: Handler<typeof api.run.abandon> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, ['planned', 'running'], body.version)
  // what the device knows comes first: it says which baths the film really was in
  await keepEvents(db, run.id, body.events, who.id)
  const clock = runClock(run.plan, [...run.events, ...body.events], body.at)
  const reached = new Set(clock.times.map((time) => time.step))
  const uses = usesAtEnd(run.plan).filter((use) => reached.has(use.step))
  if (run.state === 'running') await writeUses(db, run, uses, { by: who.id, at: now, strict: false, now })
  else await destroyAll(db.Roll, { runId: run.id })
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'abandoned', endedAt: body.at, why: body.reason }))
  // nothing is promised to it any more: its bottles are told
  await db.RunBath.update({ ml: col('ml') as never }, { where: { runId: run.id } })
  return { done: true as const }
}

/** A run that never should have been written, with its lines and films. */
export const takeBack: Handler<typeof api.run.takeBack> = async ({ db, params, body, who, now }) => {
  const run = await lockRun(db, params.id, ['done', 'abandoned'], body.version)
  const standing = { runId: run.id, kind: { [Op.ne]: 'reverse' as const }, '$reversal.id$': null }
  const lines = await db.BottleEntry.findAll({ where: standing, include: [{ association: 'reversal', attributes: [] }], order: ['seq'] })
  await takeLinesBack(db, lines, { by: who.id, now, reason: `Run ${run.number} taken back: ${body.reason}` })
  await changeAll(db.Roll, { takenBack: true }, { runId: run.id })
  const row = asSeen(db.Run, { id: run.id, version: run.version })
  await saveNext(row.set({ state: 'taken-back', takenBackWhy: body.reason }))
  return runRow(db, run.id)
}
