import { connect } from 'node:net'
import type { Device } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'
import { addressOf } from './address'
import { linesOf } from './lines'

const answerMs = 2000

const lost = ({ name }: { name: string }) =>
  new Refusal(409, 'device-lost', `${name} does not answer. Look at its plug and cable; typing works without it.`)

/** what a device says after a command is listened to for so long, ms */
const hearingMs = 4000

/** Sends a device one line and hears what it says then: true as soon as a line is what was hoped for, false where none was. A device that cannot be reached is refused. */
export async function sayAndHear(
  device: Pick<Device, 'name' | 'host' | 'port'>,
  line: string,
  publicAllowed: boolean,
  hoped: (line: string) => boolean,
  /** ms from now the line is sent in */
  inMs = 0,
): Promise<boolean> {
  const dueAt = performance.now() + inMs
  const host = await addressOf(device.host, publicAllowed)
  return new Promise((resolve, reject) => {
    const socket = connect({ host, port: device.port }, () => {
      socket.setNoDelay(true)
      setTimeout(() => ((said = true), socket.write(`${line}\n`)), Math.max(0, dueAt - performance.now()))
    })
    let said = false
    const end = (heard: boolean) => {
      clearTimeout(timer)
      socket.destroy()
      resolve(heard)
    }
    const timer = setTimeout(() => end(false), inMs + hearingMs)
    socket.setEncoding('latin1')
    socket.on(
      'data',
      linesOf((one) => said && hoped(one) && end(true)),
    )
    socket.on('error', () => {
      clearTimeout(timer)
      reject(lost(device))
    })
  })
}

/** Sends a device one line. A device that cannot be reached is refused with what to do instead. */
export async function sendLine(device: Pick<Device, 'name' | 'host' | 'port'>, line: string, publicAllowed: boolean): Promise<void> {
  const host = await addressOf(device.host, publicAllowed)
  return new Promise((resolve, reject) => {
    const socket = connect({ host, port: device.port }, () => socket.end(`${line}\n`, () => resolve()))
    socket.setTimeout(answerMs, () => socket.destroy(new Error('late')))
    socket.on('error', () => reject(lost(device)))
    socket.resume()
  })
}
