import { hostname, networkInterfaces } from 'node:os'
import { isIP } from 'node:net'
import type { RequestHandler } from 'express'
import type { House } from '../house/house'

/** ms a list of names is believed before it is asked for again */
const freshMs = 5_000

/** Names and addresses this machine answers to by itself. */
function ownNames(): Set<string> {
  const addresses = Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map(({ address }) => address.replace(/%.*$/, '')))
  const name = hostname().toLowerCase()
  return new Set(['localhost', name, `${name}.local`, ...addresses])
}

/** 'Loft.local:4780' → 'loft.local', '[::1]:80' → '::1' */
const nameOf = (host: string): string =>
  host
    .trim()
    .toLowerCase()
    .replace(/:\d*$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .replace(/\.$/, '')

/**
 * Answers only under the house's own names: a page of someone else's that leads its own name here would otherwise be let in as one of ours. What is the house's own:
 * the addresses it is served at, this machine's name, what the environment says, and what a technician has set.
 */
export function ownHost({ db }: House, more: string[]): RequestHandler {
  let own = ownNames()
  const given = new Set(more.map(nameOf))
  let set = new Set<string>()
  let askedAt = 0
  async function known(name: string): Promise<boolean> {
    if (own.has(name) || given.has(name) || set.has(name)) return true
    if (Date.now() - askedAt < freshMs) return false
    askedAt = Date.now()
    own = ownNames()
    const row = await db.Darkroom.findOne({ attributes: ['hosts'] }).catch(() => null)
    set = new Set((row?.hosts ?? []).map(nameOf))
    return own.has(name) || set.has(name)
  }
  return (request, response, next) => {
    const name = nameOf(request.get('host') ?? '')
    known(name)
      .then((ours) => {
        if (ours) return next()
        const shown = isIP(name) ? name : name.replace(/[^a-z0-9.-]/g, '').slice(0, 100)
        response.status(421).json({
          code: 'other-host',
          message: `This darkroom does not answer under the name “${shown}”. Open it at its own address; a technician can add a name under Settings.`,
        })
      })
      .catch(next)
  }
}
