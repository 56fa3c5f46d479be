import {
  askAbout,
  isTakenBackable,
  mixState,
  mostStretch,
  whatCounts,
  type Catalogue,
  type MixEvent,
  type MixLine,
  type MixState,
} from '@selvrin/core'
import type { api, Mix } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { usedFormula } from '../formula/used'
import { Refusal } from '../house/refusal'
import type { Call, Handler } from '../http/route'
import type { Database } from '../table/database'
import { jarEvent, requireStock } from './meeting'
import { mixRow, openMix } from './rows'

type Weigh = Extract<MixEvent, { kind: 'weigh' }>
type Sent = Call<typeof api.mix.record>['body']['events'][number]

/** Writes what happened at the scales, in its order. */
export async function writeEvents(db: Database, mixId: string, fresh: MixEvent[], by: string, now: number): Promise<void> {
  if (fresh.length === 0) return
  await db.MixEvent.bulkCreate(fresh.map((event) => ({ id: event.id, mixId, event, byPerson: by, at: now })))
}

function requireUndoable(events: MixEvent[], of: string): void {
  const event = whatCounts(events).find((one) => one.id === of)
  if (!event || !isTakenBackable(event))
    throw new Refusal(409, 'not-there', 'That was taken back already, or cannot be. The page shows where the mix stands.')
}

function requireCorrects(events: MixEvent[], id: string, step: number): Weigh {
  const event = whatCounts(events).find((one) => one.id === id)
  if (event?.kind !== 'weigh' || event.step !== step)
    throw new Refusal(409, 'not-there', 'That weight was put right or taken back already. The page shows where the mix stands.')
  return event
}

/** An odd weight is believed only when somebody says so. */
async function requireLikely(db: Database, line: MixLine, event: Extract<Sent, { kind: 'weigh' }>, replaced: number): Promise<void> {
  const held = event.jarId ? ((await db.JarEntry.sum('grams', { where: { jarId: event.jarId } })) ?? 0) : null
  const question = askAbout(line, event.amount, held, line.put - replaced)
  if (question) throw new Refusal(422, 'odd-amount', question, { field: 'amount' })
}

/** Refuses what does not belong where the mix stands; answers the weight that is put right, where one is. */
function requireInStep(mix: Mix, state: MixState, events: MixEvent[], event: Sent): Weigh | null {
  const line = 'step' in event ? state.lines[event.step] : undefined
  if (event.kind === 'checked') throw new Refusal(422, 'check-apart', 'A second person’s check is written by that person.')
  if ('step' in event && !line) throw new Refusal(422, 'no-step', 'This formula has no such step. Load the page again.')
  if (event.kind === 'undo') requireUndoable(events, event.of)
  if (event.kind === 'water-added' && state.at !== 'more-water')
    throw new Refusal(409, 'no-water', 'No more water is wanted now. The page shows where the mix stands.', { current: mix })
  if (event.kind === 'rescale' && event.finalMl > mix.finalMl * mostStretch)
    throw new Refusal(
      422,
      'too-large',
      `A batch is not stretched to more than ${mostStretch} times what was begun. Begin again, or put the weight right.`,
    )
  const corrects = event.kind === 'weigh' && event.corrects !== undefined ? requireCorrects(events, event.corrects, event.step) : null
  if ('step' in event && event.step !== state.at && !corrects)
    throw new Refusal(409, 'out-of-step', 'Someone else is mixing this too and is at another step. The page shows where it stands.', {
      current: mix,
    })
  if (event.kind === 'dissolved' && line?.state !== 'in-band')
    throw new Refusal(409, 'out-of-band', 'The weight is not in its band yet. Weigh on, or take a way out of too much.')
  if (event.kind === 'dissolved' && line?.needsCheck) throw new Refusal(409, 'needs-check', 'A second person looks at this weight first.')
  return corrects
}

/** The events one that was sent comes to: a jar is looked up in the record, and comes first where a weight names another. */
async function eventsOf(
  db: Database,
  { mix, state, events, catalogue }: { mix: Mix; state: MixState; events: MixEvent[]; catalogue: Catalogue },
  event: Sent,
): Promise<MixEvent[]> {
  const corrects = requireInStep(mix, state, events, event)
  if (event.kind === 'jar') return [await jarEvent(db, mix, state, event, catalogue)]
  if (event.kind !== 'weigh') return [event as MixEvent]
  const line = state.lines[event.step]
  const { step, jarId } = event
  const jar = jarId !== null && jarId !== line?.jarId ? [await jarEvent(db, mix, state, { id: uuid(), step, jarId }, catalogue)] : []
  if (!event.sure && line) await requireLikely(db, line, event, corrects?.amount ?? 0)
  if (event.bottleId && line) await requireStock(db, state, line, event.bottleId, catalogue)
  return [...jar, event]
}

/** What happened at the scales; an event that is here already counts once. */
export const record: Handler<typeof api.mix.record> = async ({ db, params, body, who, now }) => {
  const mix = await openMix(db, params.id)
  const kept = new Set(mix.events.map((event) => event.id))
  const catalogue = await catalogueOf(db)
  const formula = usedFormula(mix.formulaId, mix.formula.body)
  const events: MixEvent[] = [...mix.events]
  for (const event of body.events.filter((one) => !kept.has(one.id))) {
    const state = mixState(formula, mix.finalMl, events, mix.secondCheck, catalogue)
    events.push(...(await eventsOf(db, { mix, state, events, catalogue }, event)))
  }
  await writeEvents(db, mix.id, events.slice(mix.events.length), who.id, now)
  return mixRow(db, mix.id)
}
