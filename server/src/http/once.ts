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

/** Same key and body → the stored answer; the same key with another body is refused. Runs inside the request's transaction. */
export async function once<T>({ db }: House, { endpoint, who, request, upload, now }: Asked, work: () => Promise<T>): Promise<T> {
  const key = request.get('idempotency-key') ?? ''
  if (!keyPattern.test(key)) throw new Refusal(400, 'no-key', 'A write needs an Idempotency-Key header of 8 to 80 letters and digits.')
  const hash = requestHash(request, upload, !endpoint.password)
  if (!(await takeKey(db, { personId: who.id, key, hash, now }))) {
    const kept = await db.Idempotency.findOne({ where: { personId: who.id, key } })
    if (kept?.requestHash !== hash) throw new Refusal(422, 'key-reused', 'This Idempotency-Key was used for another request.')
    if (kept.answer === null) throw new Refusal(409, 'shown-once', 'That code was shown already and is not kept. Make a new one.')
    return kept.answer as T
  }
  const answer = await work()
  if (!endpoint.secret) await keepAnswer(db, { personId: who.id, key, answer: JSON.stringify(answer) })
  return answer
}
