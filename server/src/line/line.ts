import { decideEmptying, decideMovingUp, type TrayEnding, type TrayRole } from '@selvrin/core'
import type { Bottle, lineApi } from '@selvrin/core/contract'
import { openBottles } from '../bottle/rows'
import { writeDecided } from '../bottle/write'
import type { IntoDrums } from '../drum/waste'
import { oneAtATime } from '../house/queries'
import { notFound, Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database, Row } from '../table/database'
import { fillTray, pairFixers } from './filling'
import { lineRow, lockLine, openLine, standingFills, trayRow, trayRows } from './rows'

export const get: Handler<typeof lineApi.get> = async ({ db, now }) => {
  const open = await openLine(db)
  return { trays: await trayRows(db), line: open ? await lineRow(db, open.id, now) : null }
}

export const addTray: Handler<typeof lineApi.addTray> = async ({ db, body: { id, ...body } }) => trayRow(await db.Tray.create({ id, body }))

export const changeTray: Handler<typeof lineApi.changeTray> = async ({ db, params: { id }, body: { version, ...body } }) => {
  const row = await db.Tray.findByPk(id)
  if (!row) throw notFound('tray')
  await saveSeen(row.set({ body }), version, async () => trayRow(await db.Tray.findByPk(id, { rejectOnEmpty: true })))
  return trayRow(row)
}

function requireOnce(roles: TrayRole[]): void {
  const twice = roles.find((role, i) => roles.indexOf(role) !== i && role !== 'rinse' && role !== 'wash')
  if (twice) throw new Refusal(422, 'twice', 'Each bath stands in a line once; a second fixer is fixer 2.', { field: 'fills' })
  if (roles.includes('fix-2') && !roles.includes('fix'))
    throw new Refusal(422, 'no-first', 'A second fixer comes after a first one.', { field: 'fills' })
}

/** All trays in one go, or none of them. */
export const open: Handler<typeof lineApi.open> = async ({ db, body, who, now }) => {
  const { id, base, widthCm, heightCm, celsius, fills } = body
  await oneAtATime(db, 'tray line')
  if (await openLine(db)) throw new Refusal(409, 'line-open', 'A tray line stands open already. Close it first.')
  const roles = fills.map((one) => one.role)
  requireOnce(roles)
  const last = (await db.TrayLine.max('number')) as number | null
  await db.TrayLine.create({ id, number: (last ?? 0) + 1, base, widthCm, heightCm, celsius, openedAt: now, openedBy: who.id })
  const filled = { lineId: id, base, widthCm, heightCm, twoBaths: roles.includes('fix-2'), by: who.id, now }
  const bottles = new Map<TrayRole, string | null>()
  for (const one of fills) bottles.set(one.role, await fillTray(db, one, filled))
  const [first, second] = [bottles.get('fix'), bottles.get('fix-2')]
  if (first && second) await pairFixers(db, [first, second], filled)
  return lineRow(db, id, now)
}

interface Emptying {
  by: string
  now: number
  why: string
  into: IntoDrums
}

/** Empties a tray; a bottle that was retired meanwhile has left it already. */
async function emptyTray(db: Database, fill: Row<'TrayFill'>, { how }: TrayEnding, { by, now, why, into }: Emptying): Promise<void> {
  await fill.update({ emptiedAt: now, emptiedHow: how })
  if (fill.bottleId === null) return
  const [held] = await openBottles(db, [fill.bottleId], now)
  const bottle = held?.bottle as Bottle
  if (bottle.retiredAt !== null) return
  await writeDecided(db, decideEmptying(bottle, { role: fill.role, how, why }), { by, now, bottles: [bottle], into })
}

/** Of a pair of fixers the second moves up into the first place, and what is filled now is the second. */
async function movedUp(fills: Row<'TrayFill'>[], emptied: Row<'TrayFill'>): Promise<Row<'TrayFill'> | null> {
  const second = fills.find((one) => one.role === 'fix-2')
  if (emptied.role !== 'fix' || !second) return null
  await second.update({ role: 'fix' })
  return second
}

export const replace: Handler<typeof lineApi.replace> = async ({ db, params: { id }, body, who, now }) => {
  const { version, end, fill: filling, into } = body
  const row = await lockLine(db, id)
  await saveSeen(row, version, () => lineRow(db, id, now))
  const fills = await standingFills(db, id)
  const old = fills.find((one) => one.id === end.fillId)
  if (!old) throw notFound('tray of that line')
  const why = `tray line ${row.number}: replaced`
  const filled = { lineId: id, base: row.base, widthCm: row.widthCm, heightCm: row.heightCm, by: who.id, now }
  const second = await movedUp(fills, old)
  const twoBaths = second !== null || old.role === 'fix-2'
  const role = second ? 'fix-2' : old.role
  if (filling.role !== role) throw new Refusal(422, 'wrong-family', 'What is replaced is filled with the like.', { field: 'fill' })
  if (second?.bottleId && old.bottleId && end.how === 'away') {
    await old.update({ emptiedAt: now, emptiedHow: 'away' })
    const fresh = await fillTray(db, filling, { ...filled, twoBaths })
    if (fresh === null) throw notFound('bottle')
    const bottles = (await openBottles(db, [old.bottleId, second.bottleId, fresh], now)).map((one) => one.bottle)
    const [first, moves, stands] = bottles as [Bottle, Bottle, Bottle]
    await writeDecided(db, decideMovingUp(first, moves, stands), { by: who.id, now, bottles, into })
  } else {
    if (second) throw new Refusal(422, 'first-goes', 'The first of two fixers is poured away when the second moves up.', { field: 'end' })
    await emptyTray(db, old, end, { by: who.id, now, why, into })
    const fresh = await fillTray(db, filling, { ...filled, twoBaths })
    const first = fills.find((one) => one.role === 'fix')?.bottleId
    if (old.role === 'fix-2' && fresh && first) await pairFixers(db, [first, fresh], filled)
  }
  return lineRow(db, id, now)
}

export const close: Handler<typeof lineApi.close> = async ({ db, params: { id }, body: { version, ends, into }, who, now }) => {
  const row = await lockLine(db, id)
  await saveSeen(row.set({ closedAt: now, closedBy: who.id }), version, () => lineRow(db, id, now))
  const fills = await standingFills(db, id)
  for (const fill of fills) {
    const end = ends.find((one) => one.fillId === fill.id)
    if (!end) throw new Refusal(422, 'tray-left', 'Say of every tray whether it is poured away or kept.', { field: 'ends' })
    await emptyTray(db, fill, end, { by: who.id, now, why: `tray line ${row.number} closed`, into })
  }
  return lineRow(db, id, now)
}
