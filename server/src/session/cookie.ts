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

/** Who sent the request, by its session cookie; null when nobody (any more). */
export async function personOf({ db }: House, request: Request, now: number): Promise<Who | null> {
  const token = (request.cookies as Record<string, unknown> | undefined)?.[cookieName]
  if (typeof token !== 'string' || token === '') return null
  const row = await db.one<Who>(
    `select person.id, person.role, session.token_hash as "tokenHash" from session join person on person.id = session.person_id
     where token_hash = $1 and expires_at > $2 and person.active`,
    [sha256(token), new Date(now)],
  )
  return row ?? null
}

/** Signs a person in: a new session and its cookie, `Secure` exactly when the request came by https. */
export async function openSession({ db }: House, request: Request, response: Response, personId: string, now: number): Promise<void> {
  const token = newToken()
  await db.run('delete from session where expires_at <= $1', [new Date(now)])
  await db.run('insert into session (token_hash, person_id, created_at, expires_at) values ($1, $2, $3, $4)', [
    sha256(token),
    personId,
    new Date(now),
    new Date(now + lifeMs),
  ])
  response.cookie(cookieName, token, { httpOnly: true, sameSite: 'strict', secure: request.secure, maxAge: lifeMs, path: '/' })
}

export const dropCookie = (response: Response): void => void response.clearCookie(cookieName, { path: '/' })
