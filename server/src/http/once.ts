import type { Endpoint } from '@selvrin/core/contract'
import type { Request } from 'express'
import type { House } from '../house/house'
import { requestHash, type Upload } from './body'
import { keepAnswer, takeKey } from './queries'
import { Refusal } from '../house/refusal'
import type { Who } from './who'

const keyPattern = /^[\w-]{8,80}$/

interface Asked {
  endpoint: Endpoint
  who: Who
  request: Request
  upload: Upload | null
  now: number
}

/**
 * Does the work in one transaction under the request's key and answers with JSON: same key and body → the stored answer; the same key with another body is refused. The key and the first
 * statements of the work are said in one piece, since a key is nearly always new; a work that was begun under a taken one is undone with its transaction, so a work must do
 * nothing but in the database.
 */
export async function once(house: House, asked: Asked, work: () => Promise<unknown>): Promise<string> {
  const { endpoint, who, request, upload, now } = asked
  const key = request.get('idempotency-key') ?? ''
  if (!keyPattern.test(key)) throw new Refusal(400, 'no-key', 'A write needs an Idempotency-Key header of 8 to 80 letters and digits.')
  const { db } = house
  const hash = requestHash(request, upload, !endpoint.password)
  let repeated = false
  const first = async (): Promise<string> => {
    const [taken, done] = await Promise.allSettled([takeKey(db, { personId: who.id, key, hash, now }), work()])
    if (taken.status === 'rejected') throw taken.reason
    repeated = !taken.value
    if (repeated) throw new Error('Its key was taken before: what was begun is undone.')
    if (done.status === 'rejected') throw done.reason
    const answer = JSON.stringify(done.value)
    if (!endpoint.secret) await keepAnswer(db, { personId: who.id, key, answer })
    return answer
  }
  try {
    return await db.transaction(first)
  } catch (error) {
    // the database may have refused what was begun as well, as a line that is there already
    if (!repeated) throw error
    return kept(house, { who, key, hash })
  }
}

/** What was answered to the key when it was taken. */
async function kept({ db }: House, { who, key, hash }: { who: Who; key: string; hash: string }): Promise<string> {
  const before = await db.Idempotency.findOne({ where: { personId: who.id, key } })
  if (before?.requestHash !== hash) throw new Refusal(422, 'key-reused', 'This Idempotency-Key was used for another request.')
  if (before.answer === null) throw new Refusal(409, 'shown-once', 'That code was shown already and is not kept. Make a new one.')
  return JSON.stringify(before.answer)
}
