import { conflict } from '../error'
import { showMass } from '../quantity/format'

/** Lines of a jar's ledger that people write. */
export type JarKind = 'receive' | 'consume' | 'correct' | 'discard' | 'reverse'

/** A jar as an act finds it, its row locked where it is written. */
export interface ActedJar {
  grams: number
}
/** A line an act writes into a jar's ledger. Changes of grams: what leaves is negative. */
export interface NewJarLine {
  id: string
  kind: JarKind
  grams: number
  note: string
  reverses?: string
}

/**
 * What is written when something (g) comes into a jar, or is taken or discarded from it.
 * @throws Refused 'not-enough'
 * @example
 * decideJarLine({ grams: 50 }, { entryId: 'e', kind: 'consume', grams: 2, note: '' }).grams // → -2
 */
export function decideJarLine(
  jar: ActedJar,
  { entryId: id, kind, grams, note }: { entryId: string; kind: 'receive' | 'consume' | 'discard'; grams: number; note: string },
): NewJarLine {
  const takes = kind !== 'receive'
  if (takes && grams > jar.grams + 1e-6)
    throw conflict(
      'not-enough',
      `The jar holds ${showMass(jar.grams)} by its record, not ${showMass(grams)}. Write less, or count the jar first.`,
      { field: 'grams', current: jar },
    )
  return { id, kind, grams: takes ? -grams : grams, note }
}

/**
 * What is written when a jar was counted (g); a count that agrees is a line too: the jar was seen. `expectedG`: what its record said when the counting began, since what was
 * weighed meanwhile would be counted twice.
 * @throws Refused 'stale'
 * @example
 * decideCount({ grams: 50 }, { entryId: 'e', grams: 48, expectedG: 50, reason: 'counted' }).grams // → -2
 */
export function decideCount(
  jar: ActedJar,
  { entryId: id, grams, expectedG, reason }: { entryId: string; grams: number; expectedG: number; reason: string },
): NewJarLine {
  if (Math.abs(jar.grams - expectedG) > 1e-3)
    throw conflict('stale', `Someone took from this jar while you counted: its record says ${showMass(jar.grams)} now. Count it again.`, {
      current: jar,
    })
  return { id, kind: 'correct', grams: grams - jar.grams, note: reason }
}

/** A line as it stands in a jar's ledger. */
export interface JarLine {
  id: string
  kind: JarKind
  grams: number
  reversedBy: string | null
}

const words: Record<JarKind, string> = {
  receive: 'filling',
  consume: 'taking',
  correct: 'counting',
  discard: 'discarding',
  reverse: 'taking back',
}

/** The first later line that would leave less than nothing in the jar without that one; null where the reversal holds. */
function brokenBy(oldestFirst: JarLine[], without: string): JarLine | null {
  let held = 0
  for (const line of oldestFirst) {
    if (line.id === without || line.reversedBy !== null || line.kind === 'reverse') continue
    held += line.grams
    if (held < -1e-3) return line
  }
  return null
}

/**
 * What is written when one line of a jar is taken back. `ledger`: all its lines, oldest first.
 * @throws Refused 'reversed'; 'needed', naming the later line that would have come from nothing
 * @example
 * decideJarReversal([{ id: 'a', kind: 'receive', grams: 50, reversedBy: null }], { id: 'a', kind: 'receive', grams: 50, reversedBy: null }, { newId: 'b', reason: 'twice' }).grams // → -50
 */
export function decideJarReversal(
  ledger: JarLine[],
  line: JarLine,
  { newId: id, reason: note }: { newId: string; reason: string },
): NewJarLine {
  if (line.reversedBy !== null || line.kind === 'reverse') throw conflict('reversed', 'That line has been taken back already.')
  const broken = brokenBy(ledger, line.id)
  if (broken)
    throw conflict(
      'needed',
      `That line cannot be taken back: the ${words[broken.kind]} of ${showMass(Math.abs(broken.grams))} after it would have come from nothing. Take that one back first.`,
    )
  return { id, kind: 'reverse', grams: -line.grams, note, reverses: line.id }
}
