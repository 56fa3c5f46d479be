import { decideJarReversal } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import type { Handler } from '../http/route'
import { jarPage, lockJar } from './rows'

/** Takes one line of a jar back by a second one; refused where a later line needs it. */
export const reverseLine: Handler<typeof api.jar.reverse> = async ({ db, params, body, who, now }) => {
  await lockJar(db, params.id)
  const { ledger } = await jarPage(db, params.id)
  const line = ledger.find((one) => one.id === params.entryId)
  if (!line) throw notFound('line of the ledger')
  await db.JarEntry.create({ ...decideJarReversal(ledger.toReversed(), line, body), jarId: params.id, at: now, byPerson: who.id })
  return jarPage(db, params.id)
}
