import type { NewLine } from '../../bottle/acts/act'
import { chemicalOf } from '../../chemical/equivalentMass'
import type { Catalogue, ChemicalId } from '../../chemical/chemical'
import { conflict, impossible } from '../../error'
import type { JarKind } from '../../jar/acts'
import type { MixEvent } from '../mixEvent'
import { productGrams, type MixState } from '../mixState'
import { whatCounts } from '../whatCounts'

/** Bottles may take this much more than the final volume: the meniscus is not a ruler. */
const fillTolerance = 1.02

/**
 * Whether a mix may be bottled like that (ml).
 * @throws Refused 'not-mixed', 'too-much'
 * @example
 * requireBottling(begun, [{ ml: 1000 }]) // throws 'not-mixed'
 */
export function requireBottling({ at, formula }: MixState, bottles: { ml: number }[]): void {
  if (at !== 'bottle') throw conflict('not-mixed', 'Not everything is in and topped up yet.')
  const bottled = bottles.reduce((sum, bottle) => sum + bottle.ml, 0)
  if (bottled > formula.finalMl * fillTolerance)
    throw impossible(
      'too-much',
      `The bottles hold ${bottled.toFixed(0)} ml together; ${formula.finalMl.toFixed(0)} ml were mixed. Fill less.`,
      { field: 'bottles' },
    )
}

/** What a mix took: g of the product out of each jar, ml of stock solution out of each bottle. */
export interface Taken {
  jars: Map<string, number>
  bottles: Map<string, number>
}

/**
 * What was weighed and drawn for a mix, whether it is bottled or given up.
 * @example
 * takenBy(begun, mixEvents, catalogue).jars.get('j1') // → 1.9
 */
export function takenBy({ lines }: MixState, events: MixEvent[], catalogue: Catalogue): Taken {
  const taken: Taken = { jars: new Map(), bottles: new Map() }
  const held = new Map<number, ChemicalId>()
  const add = (to: Map<string, number>, id: string, amount: number) => to.set(id, (to.get(id) ?? 0) + amount)
  for (const event of whatCounts(events)) {
    if (event.kind === 'jar') held.set(event.step, event.chemical)
    if (event.kind !== 'weigh') continue
    const line = lines[event.step]
    if (event.bottleId) add(taken.bottles, event.bottleId, event.amount)
    if (!event.jarId || !line) continue
    const chemical = chemicalOf(held.get(event.step) ?? line.line.chemical.id, catalogue)
    add(taken.jars, event.jarId, productGrams(line.line, chemical, event.amount))
  }
  return taken
}

const heldMore = 'held more than its record'

/**
 * Lines of the jars it was taken from (`grams` they hold); one that held more than its record said is corrected first, since it was there.
 * @example
 * jarLinesOf({ jars: new Map([['j1', 2]]), bottles: new Map() }, [{ id: 'j1', grams: 1.5 }], 'Developer').map((line) => [line.kind, line.grams]) // → [['correct', 0.5], ['consume', -2]]
 */
export const jarLinesOf = (
  taken: Taken,
  jars: { id: string; grams: number }[],
  name: string,
): { jarId: string; kind: JarKind; grams: number; note: string }[] =>
  [...taken.jars].flatMap(([jarId, grams]) => {
    const lacking = grams - (jars.find((jar) => jar.id === jarId)?.grams ?? 0)
    return [
      ...(lacking > 0 ? [{ jarId, kind: 'correct' as const, grams: lacking, note: heldMore }] : []),
      { jarId, kind: 'consume' as const, grams: -grams, note: name },
    ]
  })

/**
 * The same of the bottles stock solutions were drawn from.
 * @example
 * bottleLinesOf({ jars: new Map(), bottles: new Map([['f1', 50]]) }, [acted], 'Developer')[0].ml // → -50
 */
export const bottleLinesOf = (taken: Taken, bottles: { id: string; state: { volumeMl: number } }[], name: string): NewLine[] =>
  [...taken.bottles].flatMap(([bottleId, ml]) => {
    const lacking = ml - (bottles.find((bottle) => bottle.id === bottleId)?.state.volumeMl ?? 0)
    return [
      ...(lacking > 0 ? [{ bottleId, kind: 'correct' as const, ml: lacking, note: heldMore }] : []),
      { bottleId, kind: 'dilute-out' as const, ml: -ml, note: `into ${name}` },
    ]
  })
