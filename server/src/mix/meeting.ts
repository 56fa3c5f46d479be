import {
  blocksOf,
  chemicalOf,
  jarFactor,
  scaleFormula,
  whatGoesIn,
  type Catalogue,
  type Formula,
  type MixEvent,
  type MixLine,
  type MixState,
} from '@selvrin/core'
import type { Mix } from '@selvrin/core/contract'
import { contentsOf } from '../bottle/contents'
import { stateOf } from '../formula/mixed'
import { notFound, Refusal } from '../house/refusal'
import type { Database } from '../table/database'

/** Refuses a mix in which what really goes in never meets. */
function requireHarmless(formula: Formula, what: string, catalogue: Catalogue): void {
  const [block] = blocksOf(formula, catalogue)
  if (block) throw new Refusal(422, 'never-meets', `${what} does not go into this: ${block.message} Take another jar or bottle.`)
}

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

/** Refuses to draw a line from a bottle that is not its stock solution, or in which something is that never meets the rest. */
export async function requireStock(
  db: Database,
  state: MixState,
  { line }: MixLine,
  bottleId: string,
  catalogue: Catalogue,
): Promise<void> {
  const held = await contentsOf(db, bottleId, catalogue)
  const works = held.additions.some(({ chemical }) => {
    const [a, b] = [chemicalOf(chemical, catalogue), line.chemical]
    return a.id === b.id || (a.group !== undefined && a.group === b.group)
  })
  if (!works)
    throw new Refusal(422, 'other-stock', `There is no ${line.chemical.name} in that bottle. Take its stock solution.`, {
      field: 'bottleId',
    })
  const others = whatGoesIn(state, catalogue)
  const drawn = scaleFormula(held, line.liquidMl).additions
  const additions = others.additions.flatMap((addition, step) => (step === line.step ? drawn : [addition]))
  requireHarmless({ ...others, additions }, 'What is in that bottle', catalogue)
}
