import { lookup } from 'node:dns/promises'
import { isIP } from 'node:net'
import ipaddr from 'ipaddr.js'
import { Refusal } from '../house/refusal'

const near = ['loopback', 'private', 'linkLocal', 'uniqueLocal']

/** Whether an address is of this machine or this network. */
export function isNear(address: string): boolean {
  if (!ipaddr.isValid(address)) return false
  const parsed = ipaddr.process(address)
  return near.includes(parsed.range())
}

const said =
  'Bench devices stand in this network: their address begins with 10., 172.16. to 172.31., 192.168. or 127., or is a name that leads there. Settings can allow others.'

/** Refuses an address outside the private networks. A name is looked up when it is dialled. */
export function requireNear(host: string, publicAllowed: boolean): void {
  if (!publicAllowed && isIP(host) !== 0 && !isNear(host)) throw new Refusal(422, 'far-device', said, { field: 'host' })
}

/** The address to dial for a host: what its name leads to now, held to the same networks. Throws where it leads elsewhere. */
export async function addressOf(host: string, publicAllowed: boolean): Promise<string> {
  const { address } = isIP(host) === 0 ? await lookup(host) : { address: host }
  if (!publicAllowed && !isNear(address)) throw new Refusal(422, 'far-device', said, { field: 'host' })
  return address
}
