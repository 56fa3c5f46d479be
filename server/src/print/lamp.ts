import { readDeviceLine } from '@selvrin/core'
import type { traysApi } from '@selvrin/core/contract'
import { sayAndHear } from '../device/command'
import { linePattern } from '../device/pattern'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'

/** The lamp of an enlarger on for so many s, by its relay, which counts them itself; it is heard whether it lit. */
export const light: Handler<typeof traysApi.light> = async ({ db, params: { id }, body: { seconds, inMs } }) => {
  const enlarger = await db.Enlarger.findByPk(id)
  if (!enlarger || enlarger.goneAt !== null) throw notFound('enlarger')
  const { relayId, name } = enlarger.body
  const relay = relayId === undefined ? null : await db.Device.findOne({ where: { id: relayId, kind: 'lamp', active: true } })
  if (!relay?.command)
    throw new Refusal(422, 'no-relay', `The lamp of ${name} hangs on no relay that can be told: switch it by hand, by the sounds.`)
  const far = (await db.Darkroom.findOne({ attributes: ['publicDevices'] }))?.publicDevices ?? false
  const pattern = linePattern(relay.pattern)
  const lit = (line: string): boolean => {
    const left = readDeviceLine(pattern, line, 'lamp')?.value
    return left !== undefined && (seconds > 0 ? left > 0 : left === 0)
  }
  if (!(await sayAndHear(relay, relay.command.replace('{s}', seconds.toFixed(2)), far, lit, inMs)))
    throw new Refusal(
      409,
      'lamp-silent',
      `${relay.name} did not say that it lit. Look at the lamp and its plug before paper lies under it.`,
    )
  return { done: true as const }
}
