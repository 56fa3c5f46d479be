import { usualSink } from '@selvrin/core'
import type { sinkApi } from '@selvrin/core/contract'
import { sinkOf } from '../drum/facts'
import { Refusal } from '../house/refusal'
import { saveSeen } from '../http/changing'
import type { Handler } from '../http/route'

export const changeFacts: Handler<typeof sinkApi.facts> = async ({ db, body: { version, ...body } }) => {
  if (body.warnDays < body.adviceDays)
    throw new Refusal(422, 'days', 'The warning comes after the advice: say more days.', { field: 'warnDays' })
  const left = await db.Drum.findAll({ attributes: ['code', 'trayId'], where: { collectedAt: null }, raw: true })
  const lost = left.find((one) => one.trayId !== null && !body.trays.some((tray) => tray.id === one.trayId))
  if (lost) throw new Refusal(409, 'tray', `Drum ${lost.code} stands in a tray that would be gone. Move it first.`)
  await db.Sink.findOrCreate({ where: { onlyRow: true }, defaults: { body: usualSink } })
  const row = await db.Sink.findOne({ rejectOnEmpty: true })
  await saveSeen(row.set({ body }), version, () => sinkOf(db))
  return sinkOf(db)
}
