import { conflict, impossible } from '../../error'
import { askAbout } from '../askAbout'
import type { MixEvent } from '../mixEvent'
import { mostStretch, type MixLine, type MixState } from '../mixState'
import { isTakenBackable, whatCounts } from '../whatCounts'

type Weigh = Extract<MixEvent, { kind: 'weigh' }>
/** An event as it comes from the bench: of a jar its name alone, the record says what it holds. */
export type SentEvent = Exclude<MixEvent, { kind: 'jar' }> | { id: string; kind: 'jar'; step: number; jarId: string }

/** A mix as it stands before an event. */
export interface OpenMix {
  state: MixState
  events: MixEvent[]
  /** ml that were begun */
  begunMl: number
  /** what the mix is, where an event comes out of step */
  current: unknown
}

function requireUndoable(events: MixEvent[], of: string): void {
  const event = whatCounts(events).find((one) => one.id === of)
  if (!event || !isTakenBackable(event))
    throw conflict('not-there', 'That was taken back already, or cannot be. The page shows where the mix stands.')
}

function corrected(events: MixEvent[], { corrects, step }: Weigh): Weigh | null {
  if (corrects === undefined) return null
  const event = whatCounts(events).find((one) => one.id === corrects)
  if (event?.kind !== 'weigh' || event.step !== step)
    throw conflict('not-there', 'That weight was put right or taken back already. The page shows where the mix stands.')
  return event
}

/**
 * Whether an event belongs where the mix stands; answers the weight that is put right by it, where one is.
 * @throws Refused 'check-apart', 'no-step', 'not-there', 'no-water', 'too-large', 'out-of-step', 'out-of-band', 'needs-check'
 * @example
 * decideStep({ state: begun, events: mixEvents, begunMl: 1000, current: null }, { id: 'e3', kind: 'weigh', step: 0, amount: 0.1, jarId: 'j1' }) // → null
 */
export function decideStep({ state, events, begunMl, current }: OpenMix, event: SentEvent): Weigh | null {
  const line = 'step' in event ? state.lines[event.step] : undefined
  if (event.kind === 'checked') throw impossible('check-apart', 'A second person’s check is written by that person.')
  if ('step' in event && !line) throw impossible('no-step', 'This formula has no such step. Load the page again.')
  if (event.kind === 'undo') requireUndoable(events, event.of)
  if (event.kind === 'water-added' && state.at !== 'more-water')
    throw conflict('no-water', 'No more water is wanted now. The page shows where the mix stands.', { current })
  if (event.kind === 'rescale' && event.finalMl > begunMl * mostStretch)
    throw impossible(
      'too-large',
      `A batch is not stretched to more than ${mostStretch} times what was begun. Begin again, or put the weight right.`,
    )
  const corrects = event.kind === 'weigh' ? corrected(events, event) : null
  if ('step' in event && event.step !== state.at && !corrects)
    throw conflict('out-of-step', 'Someone else is mixing this too and is at another step. The page shows where it stands.', { current })
  if (event.kind === 'dissolved' && line?.state !== 'in-band')
    throw conflict('out-of-band', 'The weight is not in its band yet. Weigh on, or take a way out of too much.')
  if (event.kind === 'dissolved' && line?.needsCheck) throw conflict('needs-check', 'A second person looks at this weight first.')
  return corrects
}

/**
 * An odd weight is believed only when somebody says so. `heldG`: what its jar holds by its record (g); null where it is not of a jar.
 * @throws Refused 'odd-amount' with the question to ask
 * @example
 * requireLikelyWeight(weighing, { id: 'e3', kind: 'weigh', step: 0, amount: 20, jarId: 'j1' }, { heldG: 50, corrects: null }) // throws 'odd-amount'
 */
export function requireLikelyWeight(
  line: MixLine,
  { amount, sure }: Weigh,
  { heldG, corrects }: { heldG: number | null; corrects: Weigh | null },
): void {
  if (sure) return
  const question = askAbout(line, amount, heldG, line.put - (corrects?.amount ?? 0))
  if (question) throw impossible('odd-amount', question, { field: 'amount' })
}
