import { chemicalOf, jarFactor, requireHarmless, whatGoesIn, type Catalogue, type MixEvent, type MixState } from '@selvrin/core'
import type { Mix } from '@selvrin/core/contract'
import { stateOf } from '../formula/mixed'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'

/** A jar as it is taken for a line: what it holds, its factor to the formula's product and its lot, from the record. One that never meets the rest is refused. */
export async function jarEvent(
  db: Database,
  mix: Mix,
  state: MixState,
  event: { id: string; step: number; jarId: string },
  catalogue: Catalogue,
): Promise<Extract<MixEvent, { kind: 'jar' }>> {
  const jar = await db.Jar.findByPk(event.jarId, { attributes: ['chemical', 'assay', 'lot'], raw: true })
  const line = state.lines[event.step]
  if (!jar || !line) throw notFound('jar')
  // a jar of other work is refused by core
  const factor = jarFactor(line.line.chemical.id, jar, catalogue)
  const taken: Extract<MixEvent, { kind: 'jar' }> = {
    id: event.id,
    kind: 'jar',
    step: event.step,
    jarId: event.jarId,
    chemical: jar.chemical,
    factor,
    lot: jar.lot,
  }
  const then = stateOf({ ...mix, events: [...mix.events, taken] }, catalogue)
  requireHarmless(whatGoesIn(then, catalogue), `The jar of ${chemicalOf(jar.chemical, catalogue).name}`, catalogue)
  return taken
}
