import { connect } from 'node:net'
import type { Device } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'
import { addressOf } from './address'

const answerMs = 2000

/** Sends a device one line. A device that cannot be reached is refused with what to do instead. */
export async function sendLine(device: Pick<Device, 'name' | 'host' | 'port'>, line: string, publicAllowed: boolean): Promise<void> {
  const host = await addressOf(device.host, publicAllowed)
  return new Promise((resolve, reject) => {
    const lost = () =>
      reject(new Refusal(409, 'device-lost', `${device.name} does not answer. Look at its plug and cable; typing works without it.`))
    const socket = connect({ host, port: device.port }, () => socket.end(`${line}\n`, () => resolve()))
    socket.setTimeout(answerMs, () => socket.destroy(new Error('late')))
    socket.on('error', lost)
    socket.resume()
  })
}
