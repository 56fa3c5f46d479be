import { showMass } from '@selvrin/core'
import type { JarEntry, JarPage } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound, Refusal } from '../http/refusal'
import { jarPage, lockJar, writeJarEntry } from './rows'

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
export async function reverseJarEntry(
  db: Database,
  asked: { jarId: string; entryId: string; newId: string; reason: string; by: string; now: number },
  tx: Transaction | undefined,
): Promise<JarPage> {
  await lockJar(db, asked.jarId, tx)
  const { ledger } = await jarPage(db, asked.jarId, tx)
  const entry = ledger.find((one) => one.id === asked.entryId)
  if (!entry) throw notFound('line of the ledger')
  if (entry.reversedBy !== null || entry.kind === 'reverse') throw new Refusal(409, 'reversed', 'That line has been taken back already.')
  const broken = brokenBy([...ledger].reverse(), entry.id)
  if (broken)
    throw new Refusal(
      409,
      'needed',
      `That line cannot be taken back: the ${words[broken.kind]} of ${showMass(Math.abs(broken.grams))} after it would have come from nothing. Take that one back first.`,
    )
  await writeJarEntry(
    db,
    {
      id: asked.newId,
      jarId: asked.jarId,
      kind: 'reverse',
      grams: -entry.grams,
      at: asked.now,
      by: asked.by,
      note: asked.reason,
      reverses: entry.id,
    },
    tx,
  )
  return jarPage(db, asked.jarId, tx)
}
