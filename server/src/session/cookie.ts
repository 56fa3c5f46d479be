import { dayMs } from '@selvrin/core'
import type { Request, Response } from 'express'
import { Op } from 'sequelize'
import { newToken, sha256 } from '../credential/password'
import type { House } from '../house/house'
import { cookieName } from '../http/who'

const lifeMs = 30 * dayMs

/** Signs a person in: a new session and its cookie, `Secure` exactly when the request came by https. */
export async function openSession({ db }: House, request: Request, response: Response, personId: string, now: number): Promise<void> {
  const token = newToken()
  await db.Session.destroy({ where: { expiresAt: { [Op.lte]: now } } })
  await db.Session.create({ tokenHash: sha256(token), personId, createdAt: now, seenAt: now, expiresAt: now + lifeMs })
  response.cookie(cookieName, token, { httpOnly: true, sameSite: 'strict', secure: request.secure, maxAge: lifeMs, path: '/' })
}

export const dropCookie = (response: Response): void => void response.clearCookie(cookieName, { path: '/' })
