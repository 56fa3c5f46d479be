import {
  decideStep,
  mixState,
  requireLikelyWeight,
  requireStock,
  tasksOfChemical,
  type Catalogue,
  type MixEvent,
  type MixState,
  type SentEvent,
} from '@selvrin/core'
import type { api, Mix } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { holdToTraining, stillHand } from '../training/holding'
import { contentsOf } from '../bottle/contents'
import { requireHandled } from '../check/blocks'
import { catalogueOf } from '../chemical/chemistry'
import { usedFormula } from '../formula/used'
import type { Call, Handler } from '../http/route'
import type { Database } from '../table/database'
import { jarEvent } from './meeting'
import { mixRow, openMix } from './rows'

type Sent = Call<typeof api.mix.record>['body']['events'][number]

/** Writes what happened at the scales, in its order. */
export async function writeEvents(db: Database, mixId: string, fresh: MixEvent[], by: string, now: number): Promise<void> {
  if (fresh.length === 0) return
  await db.MixEvent.bulkCreate(fresh.map((event) => ({ id: event.id, mixId, event, byPerson: by, at: now })))
}

/** g a jar holds by its record. */
const heldIn = async (db: Database, jarId: string | null): Promise<number | null> =>
  jarId === null ? null : ((await db.JarEntry.sum('grams', { where: { jarId } })) ?? 0)

/** The events one that was sent comes to: a jar is looked up in the record, and comes first where a weight names another. */
async function eventsOf(
  db: Database,
  { mix, state, events, catalogue }: { mix: Mix; state: MixState; events: MixEvent[]; catalogue: Catalogue },
  event: Sent,
): Promise<MixEvent[]> {
  const corrects = decideStep({ state, events, begunMl: mix.finalMl, current: mix }, event as SentEvent)
  if (event.kind === 'jar') return [await jarEvent(db, mix, state, event, catalogue)]
  if (event.kind !== 'weigh') return [event as MixEvent]
  const line = state.lines[event.step]
  const { step, jarId } = event
  const jar = jarId !== null && jarId !== line?.jarId ? [await jarEvent(db, mix, state, { id: uuid(), step, jarId }, catalogue)] : []
  if (!event.sure && line) requireLikelyWeight(line, event, { heldG: await heldIn(db, event.jarId), corrects })
  if (event.bottleId && line) requireStock(state, line, await contentsOf(db, event.bottleId, catalogue), catalogue)
  return [...jar, event]
}

/** What happened at the scales; an event that is here already counts once. */
export const record: Handler<typeof api.mix.record> = async ({ db, params, body, who, now }) => {
  const mix = await openMix(db, params.id)
  const kept = new Set(mix.events.map((event) => event.id))
  const catalogue = await catalogueOf(db)
  const hand = await stillHand(db, mix.hand?.id, who)
  const formula = usedFormula(mix.formulaId, mix.formula.body)
  const events: MixEvent[] = [...mix.events]
  for (const event of body.events.filter((one) => !kept.has(one.id))) {
    const state = mixState(formula, mix.finalMl, events, mix.secondCheck, catalogue)
    // a jar is opened now: what was allowed when the mix began may not be any more
    const opened = event.kind === 'jar' ? state.lines[event.step]?.line.chemical.id : undefined
    if (opened !== undefined) {
      await requireHandled(db, [opened], { now, catalogue })
      await holdToTraining(db, hand, tasksOfChemical(opened, catalogue), now)
    }
    events.push(...(await eventsOf(db, { mix, state, events, catalogue }, event)))
  }
  await writeEvents(db, mix.id, events.slice(mix.events.length), hand.id, now)
  return mixRow(db, mix.id)
}
