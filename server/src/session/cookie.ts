import type { Request, Response } from 'express'
import type { House } from '../http/route'
import { newToken, sha256 } from './password'

export interface Who {
  id: string
  role: 'member' | 'technician'
  tokenHash: string
}

const cookieName = 'selvrin'
const lifeMs = 30 * 86_400_000
/** A session that nobody has used for so long is over. */
const idleMs = 14 * 86_400_000
/** how exactly it is known when someone was there last */
const seenEveryMs = 3_600_000

/** Who a session belongs to, by its token's hash; null when it has ended, by time or by nobody coming for too long. */
export async function whoIs({ db }: House, tokenHash: string, now: number): Promise<Who | null> {
  const row = await db.one<Who & { seenAt: number }>(
    `select person.id, person.role, session.token_hash as "tokenHash", session.seen_at as "seenAt" from session join person on person.id = session.person_id
     where token_hash = $1 and expires_at > $2 and seen_at > $3 and person.active`,
    [tokenHash, new Date(now), new Date(now - idleMs)],
  )
  return row ?? null
}

/** Who sent the request, by its session cookie; null when nobody (any more). Being there keeps a session alive. */
export async function personOf(house: House, request: Request, now: number): Promise<Who | null> {
  const token = (request.cookies as Record<string, unknown> | undefined)?.[cookieName]
  if (typeof token !== 'string' || token === '') return null
  const row = (await whoIs(house, sha256(token), now)) as (Who & { seenAt: number }) | null
  if (!row) return null
  if (now - row.seenAt > seenEveryMs)
    await house.db.run('update session set seen_at = $2 where token_hash = $1 and seen_at < $2', [row.tokenHash, new Date(now)])
  const { id, role, tokenHash } = row
  return { id, role, tokenHash }
}

/** Signs a person in: a new session and its cookie, `Secure` exactly when the request came by https. */
export async function openSession({ db }: House, request: Request, response: Response, personId: string, now: number): Promise<void> {
  const token = newToken()
  await db.run('delete from session where expires_at <= $1', [new Date(now)])
  await db.run('insert into session (token_hash, person_id, created_at, seen_at, expires_at) values ($1, $2, $3, $3, $4)', [
    sha256(token),
    personId,
    new Date(now),
    new Date(now + lifeMs),
  ])
  response.cookie(cookieName, token, { httpOnly: true, sameSite: 'strict', secure: request.secure, maxAge: lifeMs, path: '/' })
}

export const dropCookie = (response: Response): void => void response.clearCookie(cookieName, { path: '/' })
