import { showMass } from '@selvrin/core'
import type { api, JarEntry } from '@selvrin/core/contract'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { jarPage, lockJar } from './rows'

const words: Record<JarEntry['kind'], string> = {
  receive: 'filling',
  consume: 'taking',
  correct: 'counting',
  discard: 'discarding',
  reverse: 'taking back',
}

/** The first later line that would leave less than nothing in the jar without that one; null where the reversal holds. */
function brokenBy(oldestFirst: JarEntry[], without: string): JarEntry | null {
  let held = 0
  for (const entry of oldestFirst) {
    if (entry.id === without || entry.reversedBy !== null || entry.kind === 'reverse') continue
    held += entry.grams
    if (held < -1e-3) return entry
  }
  return null
}

/** Takes one line of a jar back by a second one; refused where a later line needs it. */
export const reverseLine: Handler<typeof api.jar.reverse> = async ({ db, params, body, who, now }) => {
  await lockJar(db, params.id)
  const { ledger } = await jarPage(db, params.id)
  const entry = ledger.find((one) => one.id === params.entryId)
  if (!entry) throw notFound('line of the ledger')
  if (entry.reversedBy !== null || entry.kind === 'reverse') throw new Refusal(409, 'reversed', 'That line has been taken back already.')
  const broken = brokenBy([...ledger].reverse(), entry.id)
  if (broken)
    throw new Refusal(
      409,
      'needed',
      `That line cannot be taken back: the ${words[broken.kind]} of ${showMass(Math.abs(broken.grams))} after it would have come from nothing. Take that one back first.`,
    )
  const line = { id: body.newId, jarId: params.id, kind: 'reverse' as const, grams: -entry.grams, note: body.reason, reverses: entry.id }
  await db.JarEntry.create({ ...line, at: now, byPerson: who.id })
  return jarPage(db, params.id)
}
