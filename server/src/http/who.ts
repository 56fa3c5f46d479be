import { dayMs } from '@selvrin/core'
import type { Request } from 'express'
import { Op } from 'sequelize'
import { sha256 } from '../credential/password'
import type { House } from '../house/house'
import { sessionOf } from './queries'

export interface Who {
  id: string
  name: string
  role: 'member' | 'technician'
  tokenHash: string
}

export const cookieName = 'selvrin'
/** A session that nobody has used for so long is over. */
const idleMs = 14 * dayMs
/** how exactly it is known when someone was there last */
const seenEveryMs = 3_600_000

/** Who a session belongs to, by its token's hash; null when it has ended, by time or by nobody coming for too long. */
export async function whoIs(house: House, tokenHash: string, now: number): Promise<Who | null> {
  const session = await sessionOf(house.db, { tokenHash, now, idleMs })
  return session && { id: session.id, name: session.name, role: session.role, tokenHash }
}

/** Who sent the request, by its session cookie; null when nobody (any more). Being there keeps a session alive. */
export async function personOf(house: House, request: Request, now: number): Promise<Who | null> {
  const token = (request.cookies as Record<string, unknown> | undefined)?.[cookieName]
  if (typeof token !== 'string' || token === '') return null
  const tokenHash = sha256(token)
  const session = await sessionOf(house.db, { tokenHash, now, idleMs })
  if (!session) return null
  const { seenAt, ...person } = session
  if (now - seenAt > seenEveryMs) await house.db.Session.update({ seenAt: now }, { where: { tokenHash, seenAt: { [Op.lt]: now } } })
  return { ...person, tokenHash }
}
