import { connect } from 'node:net'
import type { Device } from '@selvrin/core/contract'
import { Refusal } from '../http/refusal'

const answerMs = 2000

/** Sends a device one line. A device that cannot be reached is refused with what to do instead. */
export const sendLine = (device: Pick<Device, 'name' | 'host' | 'port'>, line: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const lost = () =>
      reject(new Refusal(409, 'device-lost', `${device.name} does not answer. Look at its plug and cable; typing works without it.`))
    const socket = connect({ host: device.host, port: device.port }, () => socket.end(`${line}\n`, () => resolve()))
    socket.setTimeout(answerMs, () => socket.destroy(new Error('late')))
    socket.on('error', lost)
    socket.resume()
  })
