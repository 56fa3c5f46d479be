import type { ChemicalId } from '../chemical/chemical'
import type { CoatedProcess } from './negative'

/** Solutions of the coating bench. */
export const coatParts = ['sensitizer', 'iron', 'ferricyanide', 'iron-a', 'iron-b', 'palladium', 'platinum'] as const
export type CoatPart = (typeof coatParts)[number]

export const coatPartNames: Record<CoatPart, string> = {
  sensitizer: 'sensitizer',
  iron: 'A, iron citrate',
  ferricyanide: 'B, ferricyanide',
  'iron-a': 'iron A',
  'iron-b': 'iron B, with chlorate',
  palladium: 'palladium salt',
  platinum: 'platinum salt',
}

/** What a solution is there: a part, and the processes it is a part of. */
export interface BenchPart {
  part: CoatPart
  processes: CoatedProcess[]
}
const inMetal: CoatedProcess[] = ['platinum', 'palladium']

/**
 * What a solution is on the coating bench, by what is in it and not by its name; null where it belongs nowhere on it.
 * @example
 * benchPartOf(['ferric-oxalate', 'potassium-chlorate']) // → { part: 'iron-b', processes: ['platinum', 'palladium'] }
 * benchPartOf(['potassium-ferricyanide', 'potassium-bromide']) // → null
 */
export function benchPartOf(contents: ChemicalId[]): BenchPart | null {
  const held = new Set(contents)
  const only = (...ids: ChemicalId[]): boolean => held.size === ids.length && ids.every((id) => held.has(id))
  const [iron, cyanide] = ['ferric-ammonium-citrate-green', 'potassium-ferricyanide']
  if (held.has(iron) && held.has('silver-nitrate') && held.has('tartaric-acid')) return { part: 'sensitizer', processes: ['iron-silver'] }
  if (only(iron, cyanide)) return { part: 'sensitizer', processes: ['cyanotype'] }
  if (only(iron)) return { part: 'iron', processes: ['cyanotype'] }
  if (only(cyanide)) return { part: 'ferricyanide', processes: ['cyanotype'] }
  if (held.has('ferric-oxalate') && !held.has('silver-nitrate'))
    return { part: held.has('potassium-chlorate') ? 'iron-b' : 'iron-a', processes: inMetal }
  if ([...held].some((id) => id.includes('palladi'))) return { part: 'palladium', processes: inMetal }
  if ([...held].some((id) => id.includes('platin'))) return { part: 'platinum', processes: inMetal }
  return null
}

interface Recipe {
  id: string
  body: { additions: { chemical: ChemicalId }[]; combine?: { formulaId: string }[] | undefined }
}
/**
 * Processes whose mixed sensitizer a formula is a part of, by what its parts hold together: it stands on the shelf for these, whatever else it could be taken for.
 * @example
 * mixedInto('a', [{ id: 'a', body: { additions: [{ chemical: 'ferric-ammonium-citrate-green' }] } }]) // → []
 */
export const mixedInto = (formulaId: string, recipes: Recipe[]): CoatedProcess[] =>
  recipes
    .filter(({ body }) => body.combine?.some((part) => part.formulaId === formulaId))
    .flatMap(({ body }) => {
      const parts = recipes.filter((one) => body.combine?.some((part) => part.formulaId === one.id))
      return benchPartOf(parts.flatMap((one) => one.body.additions.map(({ chemical }) => chemical)))?.processes ?? []
    })

const metal = ['Ferric oxalate and the metal salts: no dust, gloves, a hood. Platinum salts bring asthma.', 'Oxalates poison: nothing to eat or drink near.', 'Chlorate never dry with anything that burns, never with strong acid.'] // prettier-ignore
const cautions: Record<CoatedProcess, string[]> = {
  'iron-silver': [
    'Silver nitrate blinds: goggles on before the bottle is opened. Gloves: it stains skin for weeks.',
    'Never with ammonia or alkali, and nothing of it left standing. No metal: glass or plastic, deionised water.',
    'Tartaric and citric acid hurt the eyes.',
  ],
  cyanotype: [
    'Ferricyanide: no acid onto it, no heat. Gloves.',
    'Alkali bleaches the print: no wash aid, no carbonate near it. Citric acid hurts the eyes.',
  ],
  platinum: metal,
  palladium: metal,
}
/**
 * What to take care of where the hand is; the supplier’s safety sheet decides.
 * @example
 * coatCautions('iron-silver')[0].includes('goggles') // → true
 */
export const coatCautions = (process: CoatedProcess): string[] => cautions[process]
/** what to take care of at a UV lamp */
export const uvCaution = 'Never look into the lamp: box closed, or UV glasses; a lamp that makes ozone is vented.'
